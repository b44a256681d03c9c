"""How the tests run: random examples without a clock, few by day and many by night."""

from hypothesis import HealthCheck, settings
from tests.examples import NIGHTLY

# A busy machine is no fault of ours, so no example has a deadline. By day the examples are the same
# ones every time, so that a change fails for what it did; `make nightly` hunts with many new ones.
settings.register_profile(
    "daily",
    deadline=None,
    derandomize=True,
    max_examples=30,
    suppress_health_check=[HealthCheck.too_slow],
)
settings.register_profile(
    "nightly", deadline=None, max_examples=1000, suppress_health_check=list(HealthCheck)
)
settings.load_profile("nightly" if NIGHTLY else "daily")
