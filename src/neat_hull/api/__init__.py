"""The web API: routers translate and nothing else; see `app` for how they are put together."""
