"""Devices."""
