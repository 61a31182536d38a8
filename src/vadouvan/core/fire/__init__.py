"""At the heat: stages of cooking, doneness, what the hold left on the surface, and the used mix as a sauce."""
