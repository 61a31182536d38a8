"""Kinds of presses, what they take back, and the draft that they changed."""

import json

import sqlalchemy as sa
from alembic import op

revision = "0007"
down_revision = "0006"


def upgrade() -> None:
    op.add_column("press", sa.Column("kind", sa.String(), nullable=False, server_default=""))
    op.add_column("press", sa.Column("undoes", sa.Integer(), nullable=True))
    op.add_column("press", sa.Column("before", sa.String(), nullable=True))
    press = sa.table(
        "press", sa.column("batch_id"), sa.column("number"), sa.column("press"), sa.column("kind", sa.String())
    )
    bind = op.get_bind()
    for batch_id, number, text in bind.execute(sa.select(press.c.batch_id, press.c.number, press.c.press)).all():
        at = (press.c.batch_id == batch_id) & (press.c.number == number)
        bind.execute(sa.update(press).where(at).values(kind=json.loads(text)["kind"]))


def downgrade() -> None:
    with op.batch_alter_table("press") as table:
        table.drop_column("before")
        table.drop_column("undoes")
        table.drop_column("kind")
