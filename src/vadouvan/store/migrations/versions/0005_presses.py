"""Presses at the counter."""

import sqlalchemy as sa
from alembic import op

revision = "0005"
down_revision = "0004"


def upgrade() -> None:
    op.create_table(
        "press",
        sa.Column("batch_id", sa.String(), sa.ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True),
        sa.Column("number", sa.Integer(), primary_key=True),
        sa.Column("at", sa.String(), nullable=False),
        sa.Column("press", sa.String(), nullable=False),
    )


def downgrade() -> None:
    op.drop_table("press")
