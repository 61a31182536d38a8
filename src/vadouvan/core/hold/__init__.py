"""The hold: salt moving inward, fruit softening the surface, and the window that follows.

Time enters the salt model only through ``tau``, the integral of the diffusivity over time
[m2], so a colder fridge or a slower piece only stretches the time axis.
"""
