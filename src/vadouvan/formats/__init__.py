"""One module a format: ``read(text)`` gives a core value, ``write(value)`` gives text."""
