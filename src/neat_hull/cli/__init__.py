"""The command line: the same calls as the API, printed."""
