"""After the meal: verdicts in words, the depth on the knife, what to change next time, and what is learned."""
