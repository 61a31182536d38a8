"""When batches were changed, and how often, in one index: whether a logbook is as it was is asked of it alone."""

from alembic import op

revision = "0010"
down_revision = "0009"


def upgrade() -> None:
    op.create_index("ix_batch_changed", "batch", ["changed_at", "revision"])
    op.drop_index("ix_batch_changed_at", "batch")


def downgrade() -> None:
    op.create_index("ix_batch_changed_at", "batch", ["changed_at"])
    op.drop_index("ix_batch_changed", "batch")
