"""The text of a web page, or of a piece of one: headings, items of lists, cells of tables and paragraphs as lines; and
its scripts of data.

By hand: the parser of the standard library looks at the rest of a page again for each tag that is not closed.
"""

from __future__ import annotations

import html
import re
from collections.abc import Iterator

from vadouvan.core.patterns import lazily

_LINES = frozenset(("address", "br", "dd", "div", "dt", "hr", "li", "tr"))
_APART = frozenset(
    ("article", "blockquote", "footer", "h1", "h2", "h3", "h4", "h5", "h6", "header", "main", "ol", "p", "pre",
     "section", "table", "ul")
)  # fmt: skip
_CELLS = frozenset(("td", "th"))
_UNSEEN = frozenset(("head", "nav", "noscript", "script", "style", "svg", "template"))
_PAGE = lazily(
    r"^<(?:!doctype|html|body|main|article|section|div|h\d|p|ul|ol|table|span|strong|b)\b[^<>]{0,400}>", re.IGNORECASE
)
_TAG = lazily(
    r"<(?P<comment>!--)|<!doctype[^<>]{0,200}>|<(?P<end>/?)(?P<name>[a-z][a-z0-9]{0,10})(?P<says>\s[^<>]{0,1000})?/?>",
    re.IGNORECASE,
)
_GAP = "\f"


def is_page(text: str) -> bool:
    """Whether a text begins as a web page does."""
    return _PAGE.match(text) is not None


def text_of_page(text: str) -> str:
    r"""The text that is seen of a page.

    >>> text_of_page("<h2>Chops</h2><ul><li>8 lamb chops</li><li>4 tbsp <b>oil</b></li></ul><p>Chill 2 h.</p>")
    'Chops\n\n8 lamb chops\n4 tbsp oil\n\nChill 2 h.'
    """
    blocks = ([line.strip(" ") for line in block.split("\n")] for block in "".join(_seen(text)).split(_GAP))
    return "\n\n".join(filter(None, ("\n".join(filter(None, map(str.rstrip, lines))) for lines in blocks)))


def scripts_of_page(text: str, kind: str) -> list[str]:
    """Scripts of a page whose type has ``kind`` in it; the last one to the end of a page that was cut short."""
    small = text.lower()
    found, at = [], 0
    while (tag := _TAG.search(text, at)) is not None:
        at = tag.end()
        if (tag["name"] or "").lower() == "script" and not tag["end"] and kind in (tag["says"] or "").lower():
            end = small.find("</script", at)
            found.append(text[at : end if end >= 0 else None])
            at = end if end >= 0 else len(text)
    return found


def _seen(text: str) -> Iterator[str]:
    """Words of a page, with breaks of its lines and gaps between its parts."""
    at, hidden = 0, 0
    while (tag := _TAG.search(text, at)) is not None:
        if not hidden:
            yield _words(text[at : tag.start()])
        at = tag.end()
        if tag["comment"]:
            end = text.find("-->", at)
            if end < 0:
                return
            at = end + len("-->")
            continue
        name = (tag["name"] or "").lower()
        hidden = max(0, hidden + (-1 if tag["end"] else 1)) if name in _UNSEEN else hidden
        yield _GAP if name in _APART else "\n" if name in _LINES else "\t" if name in _CELLS and not tag["end"] else ""
    if not hidden:
        yield _words(text[at:])


def _words(text: str) -> str:
    """Words between two tags: a break in them is none on the page."""
    return html.unescape(re.sub(r"\s+", " ", text))
