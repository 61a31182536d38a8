"""The counter: events, the state they come to, and what may follow."""
