# Two commands do all: `make demo` and `make test`. The rest is what they are made of.
SHELL := /bin/bash
.SHELLFLAGS := -eu -o pipefail -c
# Where this is set nothing would ever be compiled ahead, and every start would pay for it.
unexport PYTHONDONTWRITEBYTECODE
MAKEFLAGS += --no-print-directory

PORT ?= 8137
DATA ?= data/demo.sqlite
K ?=
PYTHON ?= python3
BIN := .venv/bin
NB := node_modules/.bin
WEB_SRC := $(shell find web/src web/public web/index.html web/vite.config.ts web/tsconfig.json -type f)

.PHONY: wheel demo test nightly tools install build checks checks-core checks-types checks-style checks-screens types pytest bench shots lock chromium

demo: tools build
	@exec $(BIN)/neat-hull serve --demo --data "$(DATA)" --port $(PORT)

test: tools install build checks pytest

tools:
	@test -w . || { echo "Neat Hull: this folder cannot be written to; copy it where it can." >&2; exit 1; }
	@command -v $(PYTHON) >/dev/null || { echo "Neat Hull: Python 3.11 or later is needed and was not found." >&2; exit 1; }
	@command -v node >/dev/null && command -v npm >/dev/null || { echo "Neat Hull: Node.js 20.19 or later with npm is needed to build the screens and was not found." >&2; exit 1; }

install: .venv/.stamp web/node_modules/.stamp
build: .venv/.stamp web/dist/index.html

.venv/.stamp: requirements/dev.txt pyproject.toml
	@echo "Setting up Python…"
	@test -x $(BIN)/python || $(PYTHON) -m venv .venv
	@test -x $(BIN)/uv || $(BIN)/python -m pip install -q --disable-pip-version-check uv==0.13.9 2>&1 | { grep -v "is ignored" || true; }
	@$(BIN)/uv pip sync -q --python $(BIN)/python requirements/dev.txt
	@$(BIN)/uv pip install -q --python $(BIN)/python --no-deps --no-build-isolation -e .
	@touch $@

web/node_modules/.stamp: web/package.json web/package-lock.json
	@echo "Setting up the screens…"
	@cd web && npm ci --no-audit --no-fund --prefer-offline --loglevel=error
	@touch $@

web/dist/index.html: web/node_modules/.stamp $(WEB_SRC)
	@echo "Building the screens…"
	@cd web && $(NB)/vite build --logLevel warn
	@touch $@

chromium:
	@test -x /usr/bin/chromium-headless-shell || test -x /usr/bin/chromium || { \
	  [ "$$(id -u)" = 0 ] && sudo= || sudo=sudo; \
	  echo "Installing Chromium for the browser tests…"; $$sudo apt-get update -qq; \
	  for one in chromium-headless-shell chromium; do \
	    $$sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $$one >/dev/null && exit 0; \
	  done; exit 1; }

# On two cores, the longest first; what one says is not mixed into what the other says. What has not
# changed since it was last found right is not read again: what is kept goes by what is in a file.
KEPT := node_modules/.cache
checks: install
	@$(MAKE) -j2 --output-sync=target checks-core checks-types checks-style checks-screens

checks-core:
	@$(BIN)/ruff format --check -q src tests scripts benchmarks
	@$(BIN)/ruff check -q src tests scripts benchmarks
	@$(BIN)/python scripts/openapi.py --check
	@$(BIN)/python -m scripts.words --check
	@$(BIN)/mypy --no-error-summary src scripts benchmarks tests
	@$(BIN)/lint-imports --no-logo >/tmp/neat-hull-imports.$$$$ 2>&1 || { cat /tmp/neat-hull-imports.$$$$; exit 1; }; rm -f /tmp/neat-hull-imports.$$$$

checks-types:
	@cd web && $(NB)/openapi-typescript ../openapi.json -o src/api/schema.d.ts --check >/dev/null || { echo "web/src/api/schema.d.ts is stale: run make types" >&2; exit 1; }
	@cd web && $(NB)/vue-tsc -p tsconfig.json --incremental --tsBuildInfoFile $(KEPT)/vue-tsc.json && $(NB)/tsc -p tsconfig.node.json

checks-style:
	@cd web && $(NB)/eslint . --max-warnings 0 --cache --cache-strategy content --cache-location $(KEPT)/eslint.json
	@cd web && $(NB)/prettier --check --log-level warn --cache --cache-strategy content --cache-location $(KEPT)/prettier.json src '*.ts' '*.js'

checks-screens:
	@cd web && $(NB)/vitest run --reporter=dot

# For a machine without Node: the application, its screens and the demo in one file, in dist/.
wheel: tools install build
	@rm -rf src/neat_hull/screens && cp -r web/dist src/neat_hull/screens
	@trap 'rm -rf src/neat_hull/screens' EXIT; $(BIN)/hatchling build -t wheel -d "$(or $(INTO),dist)"

# Not file rules: git gives every file the time of its checkout, so make would remake what the
# check is there to find stale.
types: install
	@$(BIN)/python scripts/openapi.py
	@$(BIN)/python -m scripts.words
	@cd web && $(NB)/openapi-typescript ../openapi.json -o src/api/schema.d.ts

# Each worker has a server and a browser of its own, and waits for them a quarter of the time: there is
# one more than cores. It wants a gigabyte, so that there are no more than five.
WORKERS ?= $(shell n=$$(nproc 2>/dev/null || echo 2); echo $$((n < 4 ? n + 1 : 5)))

# `make test K=gm` for one thing.
pytest: install build chromium
	@$(BIN)/pytest -q -n $(WORKERS) --dist worksteal $(if $(K),-k "$(K)")

# The same with many more random examples, and how often the bands hold over a thousand owners.
nightly: install build chromium
	@NEAT_HULL_EXAMPLES=nightly $(BIN)/pytest -q -n $(WORKERS) --dist worksteal -o timeout=3600
	@$(BIN)/python -m benchmarks.coverage 1000

bench: install build chromium
	@$(BIN)/python -m benchmarks.evaluate
	@$(BIN)/python -m benchmarks.judgement
	@$(BIN)/python -m benchmarks.hydrostatics
	@$(BIN)/python -m benchmarks.power
	@$(BIN)/python -m benchmarks.glide
	@$(BIN)/python -m benchmarks.capsize
	@$(BIN)/python -m benchmarks.haul
	@$(BIN)/python -m benchmarks.day
	@$(BIN)/python -m benchmarks.log
	@$(BIN)/python -m benchmarks.drag

# Fresh pictures for the README, from the demo data.
shots: install build chromium
	@$(BIN)/python -m scripts.shots

lock: install
	$(BIN)/uv pip compile -q --upgrade --python-version 3.11 --extra dev --no-header --no-annotate -o requirements/dev.txt pyproject.toml
	$(BIN)/uv pip compile -q --python-version 3.11 --no-header --no-annotate -c requirements/dev.txt -o requirements/run.txt pyproject.toml
	cd web && npm install --package-lock-only --no-audit --no-fund
