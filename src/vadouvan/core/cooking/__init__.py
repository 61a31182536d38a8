"""Stages, doneness, surface, brushing, sauce and probe."""
