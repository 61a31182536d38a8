"""Things on the counter: what is read from them, and stand-ins that ship until there is a real one."""
