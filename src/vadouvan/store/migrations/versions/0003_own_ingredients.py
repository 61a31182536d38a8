"""The cook's own ingredients."""

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"


def upgrade() -> None:
    op.create_table(
        "own_ingredient",
        sa.Column("id", sa.String(), primary_key=True),
        sa.Column("label", sa.String(), nullable=False),
        sa.Column("made_at", sa.String(), nullable=False),
    )


def downgrade() -> None:
    op.drop_table("own_ingredient")
