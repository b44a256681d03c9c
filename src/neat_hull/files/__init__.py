"""Files in and out; nothing here touches the database."""
