"""Verdicts, and which batch a batch goes on from."""

import sqlalchemy as sa
from alembic import op

revision = "0006"
down_revision = "0005"


def upgrade() -> None:
    op.create_table(
        "verdict",
        sa.Column("batch_id", sa.String(), sa.ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True),
        sa.Column("eater", sa.String(), primary_key=True),
        sa.Column("said", sa.String(), nullable=False),
        sa.Column("forgotten", sa.Boolean(), nullable=False),
        sa.Column("at", sa.String(), nullable=False),
    )
    op.create_table(
        "descent",
        sa.Column("batch_id", sa.String(), sa.ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True),
        sa.Column("from_id", sa.String(), nullable=False),
        sa.Column("says", sa.String(), nullable=False),
    )
    op.create_index("ix_descent_from_id", "descent", ["from_id"])


def downgrade() -> None:
    op.drop_index("ix_descent_from_id", "descent")
    op.drop_table("descent")
    op.drop_table("verdict")
