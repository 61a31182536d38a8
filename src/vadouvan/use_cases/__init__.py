"""Deeds that a page, the command line and the demo ask for alike: core, store and formats put to work, in one place."""
