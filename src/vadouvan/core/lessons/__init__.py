"""Guided examples: guess first, then see what the model works out."""
