"""From a setup to what is computed on: hull, body, places, an evaluated setup; rules and limits."""
