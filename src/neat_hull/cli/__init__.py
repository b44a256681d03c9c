"""The command line: the same calls as the API, printed."""

import os

# Our products are of small matrices: threads for them cost more than they save, and take the core
# that a browser beside us draws with. Read by numpy when it is first loaded.
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")
