"""The whole kitchen as one archive of open files (``docs/formats.md``)."""
