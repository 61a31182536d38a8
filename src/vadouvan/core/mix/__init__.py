"""The mix by weight: what an ingredient is made of, what a typed line means, what it adds up to."""
