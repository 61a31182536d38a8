"""Answers written by their own shapes: what each route gives, what the document tells of it, what stays as it is."""

from __future__ import annotations

import unittest
from concurrent.futures import ThreadPoolExecutor
from datetime import UTC, datetime
from threading import Barrier, Event
from typing import Any, cast
from unittest.mock import patch

from fastapi import FastAPI, Response
from fastapi.testclient import TestClient
from jsonschema import Draft202012Validator
from pydantic import BaseModel, TypeAdapter, create_model

from tests.api.kitchen import kitchen_app
from tests.drafts import NOW, steak
from vadouvan.api.answers import AnsweringRoute, with_answers
from vadouvan.api.router import router_of
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.shapes import DRAFT, json_of, shape_of
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class TubOut:
    """A tub."""

    name: str
    litres: float | None = None
    since: datetime = NOW


@unchanging(kw_only=True)
class ShelfOut:
    """A shelf of tubs."""

    tubs: list[TubOut]


class TubBody(BaseModel):
    """A tub as it is told to the kitchen."""

    name: str


def _app(*, twice: bool = False) -> FastAPI:
    router = router_of("/tubs", "tubs")

    @router.get("")
    def list_tubs() -> list[TubOut]:
        return [TubOut(name="a"), TubOut(name="b", litres=2.5)]

    @router.post("", status_code=201)
    def add_tub(body: TubBody) -> TubOut:
        return TubOut(name=body.name)

    @router.get("/shelf")
    async def look_at_shelf() -> ShelfOut | None:
        return None

    @router.get("/code")
    def draw_code() -> Response:
        return Response("code", media_type="image/svg+xml")

    @router.delete("/{name}", status_code=204)
    def remove_tub(name: str) -> None:
        del name

    app = FastAPI(routes=router.routes)
    if twice:

        def other(body: object) -> None:
            del body

        other.__annotations__["body"] = create_model("TubOut", name=(int, ...))
        app.post("/other")(other)

    return app


class Answers(unittest.TestCase):
    """A small interface made as ours is."""

    def test_each_is_written_by_its_shape(self) -> None:
        """One, several, none, awaited; a response of its own and an empty answer are left as they are."""
        client = TestClient(_app())
        self.assertEqual([one["litres"] for one in client.get("/tubs").json()], [None, 2.5])
        made = client.post("/tubs", json={"name": "c"})
        self.assertEqual((made.status_code, made.headers["content-type"]), (201, "application/json"))
        self.assertEqual(made.json(), {"name": "c", "litres": None, "since": NOW.isoformat().replace("+00:00", "Z")})
        self.assertIsNone(client.get("/tubs/shelf").json())
        self.assertEqual(client.get("/tubs/code").headers["content-type"], "image/svg+xml")
        self.assertEqual((client.delete("/tubs/c").status_code, client.delete("/tubs/c").content), (204, b""))
        self.assertEqual(client.post("/tubs", json={}).status_code, 422)

    def test_the_document_tells_each(self) -> None:
        """Its shape under the status that it has, beside what may go wrong."""
        app = _app()
        document = with_answers(app.openapi(), app.routes)
        paths, schemas = document["paths"], document["components"]["schemas"]
        ref = {"$ref": "#/components/schemas/TubOut"}

        def told(path: str, method: str, status: str) -> Any:
            return paths[path][method]["responses"][status]["content"]["application/json"]["schema"]

        self.assertEqual(told("/tubs", "get", "200"), {"items": ref, "type": "array"})
        self.assertEqual(told("/tubs", "post", "201"), ref)
        self.assertEqual(
            told("/tubs/shelf", "get", "200"), {"anyOf": [{"$ref": "#/components/schemas/ShelfOut"}, {"type": "null"}]}
        )
        self.assertEqual(told("/tubs", "post", "422"), {"$ref": "#/components/schemas/TroubleOut"})
        self.assertEqual(schemas["TubOut"]["required"], ["name"])
        self.assertNotIn("content", paths["/tubs/{name}"]["delete"]["responses"]["204"])

    def test_one_name_is_one_shape(self) -> None:
        """A body of the same name as an answer, but of another shape, is a mistake of ours."""
        app = _app(twice=True)
        with self.assertRaisesRegex(ValueError, "TubOut"):
            with_answers(app.openapi(), app.routes)

    def test_a_shape_asked_for_by_many_at_once(self) -> None:
        """It is worked out once, and all write by it."""

        @unchanging
        class New:
            name: str
            tubs: tuple[TubOut, ...] = ()

        begun, made = Barrier(8), []

        def slowly(kind: type[New]) -> TypeAdapter[New]:
            """As if it took long: all others have looked for it by then."""
            made.append(kind)
            Event().wait(0.05)
            return TypeAdapter(kind)

        def asked(_: int) -> TypeAdapter[New]:
            begun.wait()
            return shape_of(New)

        with patch("vadouvan.shapes.TypeAdapter", slowly), ThreadPoolExecutor(8) as pool:
            shapes = list(pool.map(asked, range(8)))
        self.assertEqual((len(made), len({id(one) for one in shapes})), (1, 1))
        self.assertEqual(json_of(New("a")), '{"name":"a","tubs":[]}')


class EveryAnswer(unittest.TestCase):
    """Those of the kitchen."""

    def test_what_is_given_is_as_the_document_says(self) -> None:
        """Of every address that can be asked about a tasted batch, by JSON Schema's own validator."""
        app = kitchen_app(self)
        client, here = TestClient(app, base_url="http://127.0.0.1"), app.state.context
        identity = client.post("/api/batches", json=DRAFT.dump_python(steak(), mode="json")).json()["id"]
        here.verdicts.keep(identity, VerdictInput(words={"salt": "just right"}), now=datetime(2026, 11, 28, tzinfo=UTC))
        document = app.openapi()
        checked = 0
        for route in app.routes:
            if not isinstance(route, AnsweringRoute) or "GET" not in (route.methods or ()) or route.answers is None:
                continue
            address = route.path_format.replace("{identity}", identity)
            if "{" in address:
                continue
            with self.subTest(address):
                answer = client.get(address)
                self.assertIn(answer.status_code, (200, 404, 422))
                told = document["paths"][route.path_format]["get"]["responses"][str(answer.status_code)]
                schema = {**told["content"]["application/json"]["schema"], "components": document["components"]}
                cast(Any, Draft202012Validator(schema)).validate(answer.json())
                checked += answer.status_code == 200
        self.assertGreater(checked, 25)


if __name__ == "__main__":
    unittest.main()
