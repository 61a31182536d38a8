"""The plan of one batch on the clock."""
