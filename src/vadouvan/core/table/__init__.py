"""Several dishes in one kitchen: one pair of hands, one oven at one heat, so much room in the fridge, so many tubs."""
