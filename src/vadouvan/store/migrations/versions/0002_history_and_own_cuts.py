"""History of drafts for undo and redo; the cook's own cuts; bone told by place instead of by count."""

import json

import sqlalchemy as sa
from alembic import op

revision = "0002"
down_revision = "0001"


def upgrade() -> None:
    op.create_table(
        "history",
        sa.Column("batch_id", sa.String(), sa.ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True),
        sa.Column("number", sa.Integer(), primary_key=True),
        sa.Column("draft", sa.String(), nullable=False),
        sa.Column("touched", sa.String(), nullable=False),
        sa.Column("made_at", sa.String(), nullable=False),
    )
    op.add_column("batch", sa.Column("at_number", sa.Integer(), nullable=False, server_default="1"))
    op.create_table(
        "own_cut",
        sa.Column("id", sa.String(), primary_key=True),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("made_at", sa.String(), nullable=False),
    )
    _rewrite({"0": "none", "1": "face"}, "blocked_faces", "bone")
    op.execute(
        "INSERT INTO history (batch_id, number, draft, touched, made_at) SELECT id, 1, draft, '', changed_at FROM batch"
    )


def downgrade() -> None:
    _rewrite({"none": "0", "face": "1", "core": "1"}, "bone", "blocked_faces")
    op.drop_table("own_cut")
    with op.batch_alter_table("batch") as batch:
        batch.drop_column("at_number")
    op.drop_table("history")


def _rewrite(words: dict[str, str], old: str, new: str) -> None:
    """Rename an answer of the cut in every draft, and say it in the new words."""
    connection = op.get_bind()
    for identity, text in connection.execute(sa.text("SELECT id, draft FROM batch")).all():
        draft = json.loads(text)
        said = draft["cut"].pop(old, "")
        draft["cut"][new] = words.get(said, said)
        kept = {"kind", "mass", "shape", "thickness", "pieces", "bone_share", new}
        if new == "blocked_faces":
            draft["cut"] = {name: draft["cut"].get(name, "") for name in kept}
            draft.pop("occasion", None)
        connection.execute(
            sa.text("UPDATE batch SET draft = :draft WHERE id = :id"), {"draft": json.dumps(draft), "id": identity}
        )
