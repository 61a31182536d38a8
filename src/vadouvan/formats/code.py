"""A code on a bag that opens its batch, as a drawing of its own: the page shows it without the letters of paper."""

from __future__ import annotations

import io

import segno


def code_of(address: str) -> segno.QRCode:
    """A code that opens an address, still read with a seventh of it smeared (level M)."""
    return segno.make(address, error="m", micro=False)


def code_svg(address: str) -> str:
    """A code that opens an address, as SVG."""
    drawn = io.BytesIO()
    code_of(address).save(drawn, kind="svg", scale=1, border=2, xmldecl=False, nl=False)
    return drawn.getvalue().decode()


def batch_address(base: str, identity: str) -> str:
    """Where a batch is opened."""
    return f"{base.rstrip('/')}/batch/{identity}"
