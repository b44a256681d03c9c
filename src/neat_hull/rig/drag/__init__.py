"""What holds a setup back in water and wind, ready for physics."""
