"""At the counter: what was weighed, tasted, set aside and put in, press by press, and what follows from it."""
