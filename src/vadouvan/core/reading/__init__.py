"""From a draft to numbers: each answer read, what is missing assumed, all that is wrong listed.

``notes`` collects problems and assumptions, ``cut`` and ``draft`` read, one function an answer.
"""
