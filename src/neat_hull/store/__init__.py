"""Everything kept, in one SQLite file: plain SQL, one NAME.sql beside each NAME.py.

Functions take the connection first, return models, raise our errors and never commit: whoever
opened the transaction closes it.
"""
