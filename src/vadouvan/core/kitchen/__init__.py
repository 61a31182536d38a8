"""The tables, the household and the cook's week that everything is read with."""
