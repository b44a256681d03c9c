"""The only place that knows both the model and the physics: setups in, figures out."""
