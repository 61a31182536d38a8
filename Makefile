# Two commands for a fresh machine: `make demo` starts Vadouvan with the demo kitchen,
# `make test` passes all checks. Both set up what they need first.
SHELL := /bin/bash
PYTHON ?= python3
BIN := .venv/bin
UV := $(BIN)/uv
export UV_PYTHON_DOWNLOADS := never
export OPENBLAS_NUM_THREADS := 1
export PYTHONPATH := src
# Compiled modules save two seconds a start.
unexport PYTHONDONTWRITEBYTECODE

.PHONY: demo demo-reset run test check unit fuzz late torture browser bench pictures lock types format setup setup-test clean

## Start with the demo kitchen; changes are kept in .demo
demo: setup web/dist/index.html
	@$(BIN)/python -m vadouvan.cli serve --demo --data-dir .demo

## Forget all changes to the demo kitchen
demo-reset:
	@test ! -e .demo/serving.lock || $(PYTHON) -c 'import fcntl; fcntl.flock(open(".demo/serving.lock", "a"), fcntl.LOCK_EX | fcntl.LOCK_NB)' \
	  2>/dev/null || { echo "The demo is being served: stop it first (Ctrl+C)."; exit 1; }
	rm -rf .demo

## Start with your own kitchen, kept in the user's data folder
run: setup web/dist/index.html
	@$(BIN)/python -m vadouvan.cli serve

## Everything: types, linters, import rules, builds, unit and browser tests
test:
	@$(MAKE) --no-print-directory -j2 setup-test web/dist/index.html
	$(BIN)/python -m tests.everything

## The quick part of `make test`, without the browser
unit: setup-test
	$(BIN)/python -m tests.everything --without-browser

## Other examples at every run, and more of them: the drawn tests alone, with a longer breath than the gate's
fuzz: setup-test
	VADOUVAN_EXAMPLES=fuzz $(BIN)/python -m tests.everything --without-browser --drawn

## The browser's tests with answers late by chance (up to 0.7 s each way), and with a page at a third of its pace
late: setup-test web/dist/index.html
	VADOUVAN_LATE_MS=700 $(BIN)/python -m tests.everything .browser.
	VADOUVAN_SLOW_PAGE=3 $(BIN)/python -m tests.everything --by-one .browser.

## Attacks on the kitchen's promises (docs/reliability.md), half an hour and more; a little of it is in `make test`
torture: setup-test
	$(BIN)/python -m tests.torture

## Speed, as ratios
bench: setup-test
	$(BIN)/python -m tests.bench


## Refresh the pictures in docs/screenshots
pictures: setup-test web/dist/index.html
	$(BIN)/python -m tests.pictures

## Regenerate what is derived from sources
types: setup-test web/node_modules/.stamp
	$(BIN)/python -m vadouvan.cli openapi > web/openapi.json
	cd web && npm run --silent types
	$(BIN)/python -m vadouvan.cli openapi --page > docs/http-api.md
	$(BIN)/python -m vadouvan.cli schema blank > web/src/lib/blank.json
	$(BIN)/python -m vadouvan.cli schema measures > web/src/lib/measures.json
	$(BIN)/python -m vadouvan.cli schema told > web/src/lib/told-cases.json
	$(BIN)/python -m vadouvan.cli schema > src/vadouvan/formats/batch.schema.json

format: setup-test web/node_modules/.stamp
	$(BIN)/ruff format src tests
	$(BIN)/ruff check --fix src tests
	cd web && npm run --silent format

lock: setup
	for part in run dev tools; do $(UV) pip compile -q --generate-hashes --no-header --no-annotate --universal \
	  --python-version 3.11 requirements/$$part.in -o requirements/$$part.txt; done

setup: .venv/.run
setup-test: .venv/.dev

.venv/.tools: requirements/tools.txt pyproject.toml
	@$(PYTHON) -c 'import sys; sys.exit(sys.version_info < (3, 11))' || { echo "Vadouvan needs Python 3.11 or newer; set PYTHON=..."; exit 1; }
	test -x $(BIN)/python || $(PYTHON) -m venv .venv
	$(BIN)/python -m pip install --quiet --require-hashes -r requirements/tools.txt
	$(UV) pip install --quiet --no-deps --no-build-isolation --python $(BIN)/python --editable .
	@touch $@

.venv/.run: .venv/.tools requirements/run.txt
	@test -e .venv/.dev || $(UV) pip install --quiet --require-hashes --python $(BIN)/python -r requirements/run.txt
	@touch $@

.venv/.dev: .venv/.tools requirements/dev.txt
	$(UV) pip install --quiet --require-hashes --python $(BIN)/python -r requirements/dev.txt
	@touch $@ .venv/.run

web/node_modules/.stamp: web/package.json web/package-lock.json
	@node -e 'process.exit(parseInt(process.versions.node) < 20 ? 1 : 0)' || { echo "Vadouvan needs Node 20 or newer to build its page."; exit 1; }
	cd web && npm ci --no-progress --loglevel=error
	@touch $@

web/dist/index.html: web/node_modules/.stamp web/index.html web/vite.config.ts $(shell find web/src web/public -type f 2>/dev/null)
	cd web && npm run --silent build
	@touch $@

clean:
	rm -rf .venv web/node_modules web/dist .demo
