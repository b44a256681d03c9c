"""What water and air do to a boat that goes through them: friction, waves, what hangs out, wind."""
