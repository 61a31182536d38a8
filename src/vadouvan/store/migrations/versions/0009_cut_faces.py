"""Photographs of the cut face."""

import sqlalchemy as sa
from alembic import op

revision = "0009"
down_revision = "0008"


def upgrade() -> None:
    op.create_table(
        "cut_face",
        sa.Column("batch_id", sa.String(), sa.ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True),
        sa.Column("jpeg", sa.LargeBinary(), nullable=False),
        sa.Column("width", sa.Integer(), nullable=False),
        sa.Column("height", sa.Integer(), nullable=False),
        sa.Column("marks", sa.String(), nullable=False, server_default=""),
    )


def downgrade() -> None:
    op.drop_table("cut_face")
