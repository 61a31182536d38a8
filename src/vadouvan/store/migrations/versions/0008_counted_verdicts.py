"""Verdicts that count although they lie far from the others."""

import sqlalchemy as sa
from alembic import op

revision = "0008"
down_revision = "0007"


def upgrade() -> None:
    op.add_column("verdict", sa.Column("insisted", sa.Boolean(), nullable=False, server_default=sa.false()))


def downgrade() -> None:
    with op.batch_alter_table("verdict") as table:
        table.drop_column("insisted")
