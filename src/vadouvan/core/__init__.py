"""Pure computation on frozen values: no I/O, no clock, no randomness, no framework.

Rooms in the order of the work: ``said`` (reading what people type), ``cut``, ``mix``,
``hold``, ``clock``. ``draft`` holds a batch as typed, ``batch`` as numbers, ``judge`` answers.
Everything inside is SI (kg, m, s, K); names that leave end in their unit.
"""
