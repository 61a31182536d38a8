"""A whole kitchen as one value, and taking one into another."""
