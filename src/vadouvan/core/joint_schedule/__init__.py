"""Several dishes in one kitchen."""
