"""The plan on the clock: from the meal back to the pull and to the contact."""
