"""Ingredients and what is known of each."""
