"""Where things are and which port to serve on, from the environment (``VADOUVAN_...``)."""

from __future__ import annotations

from datetime import datetime
from pathlib import Path

from platformdirs import user_data_path
from pydantic import Field
from pydantic_settings import BaseSettings, SettingsConfigDict


class Settings(BaseSettings):
    """Settings of one running kitchen."""

    model_config = SettingsConfigDict(env_prefix="VADOUVAN_")

    data_dir: Path = Field(default_factory=lambda: user_data_path("vadouvan", appauthor=False))
    web_dir: Path = Path(__file__).resolve().parents[2] / "web" / "dist"
    port: int = Field(default=8140, ge=0, le=65535)
    demo: bool = False
    clock: datetime | None = None

    @property
    def database(self) -> Path:
        """The one file that holds the kitchen."""
        return self.data_dir / "kitchen.sqlite"
