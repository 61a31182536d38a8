"""Questions about a draft beyond its judgement: amounts that reach the aims, corrections, swaps, another size.

Each takes a draft and the kitchen and answers with lines that a cook can take over, or says why not.
"""
