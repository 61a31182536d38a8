"""Numbers, units and quantities out of typed text, and back into words."""
