"""One router a room."""
