"""Shapes of requests and answers that are not a format of their own."""
