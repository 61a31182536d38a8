"""How every router is made: its address, its name in the document, and what all of them may answer instead."""

from __future__ import annotations

from fastapi import APIRouter

from vadouvan.api.schemas.batch import TroubleOut

TROUBLES = (404, 409, 422)


def router_of(prefix: str, tag: str) -> APIRouter:
    """An empty router below an address, whose routes may answer with what went wrong."""
    return APIRouter(prefix=prefix, tags=[tag], responses={code: {"model": TroubleOut} for code in TROUBLES})
