"""HTTP: carries questions to the core and answers back. Decides nothing about cooking."""
