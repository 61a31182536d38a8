"""Batches: a draft as JSON with its revision."""

import sqlalchemy as sa
from alembic import op

revision = "0001"
down_revision = None


def upgrade() -> None:
    op.create_table(
        "batch",
        sa.Column("id", sa.String(), primary_key=True),
        sa.Column("draft", sa.String(), nullable=False),
        sa.Column("revision", sa.Integer(), nullable=False),
        sa.Column("made_at", sa.String(), nullable=False),
        sa.Column("changed_at", sa.String(), nullable=False),
    )
    op.create_index("ix_batch_changed_at", "batch", ["changed_at"])


def downgrade() -> None:
    op.drop_index("ix_batch_changed_at", "batch")
    op.drop_table("batch")
