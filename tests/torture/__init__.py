"""A kitchen badly treated."""
