"""The mix as it meets the meat."""
