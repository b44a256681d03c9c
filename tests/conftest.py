"""How the tests run: random examples without a clock, few by day and many by night."""

import os

from hypothesis import HealthCheck, settings

# A busy machine is no fault of ours, so no example has a deadline. `make nightly` asks for many.
settings.register_profile(
    "daily", deadline=None, max_examples=30, suppress_health_check=[HealthCheck.too_slow]
)
settings.register_profile(
    "nightly", deadline=None, max_examples=1000, suppress_health_check=list(HealthCheck)
)
settings.load_profile(os.environ.get("NEAT_HULL_EXAMPLES", "daily"))
