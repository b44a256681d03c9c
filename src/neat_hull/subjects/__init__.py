"""What there is to know about a setup, one folder a subject: figures, rules, limits, moves."""
