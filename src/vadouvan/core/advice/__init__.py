"""Questions beyond the judgement: aims, corrections, swaps, another size, comparison."""
