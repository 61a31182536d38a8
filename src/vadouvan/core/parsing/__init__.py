"""Typed lines, lists, labels and names of cuts to amounts, ingredients and kinds."""
