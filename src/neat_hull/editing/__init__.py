"""What a change does, for API and commands alike."""
