"""Reading what people type: numbers in words and signs, masses, lengths, times.

Nothing here knows a pantry; ``core.mix.amount`` puts a quantity and an ingredient together.
"""
