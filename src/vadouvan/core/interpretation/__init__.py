"""From a draft as typed to numbers, with what is assumed and what is wrong."""
