"""The one language of files, store and API: frozen Pydantic models with units in their names."""
