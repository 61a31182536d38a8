"""The cut: what it is, its pieces, and the shape through which everything has to pass."""
