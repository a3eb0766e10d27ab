#!/usr/bin/env bash
# What needs no database: types, whether the generated ones still match, lint, and the specs of the front end.
set -euo pipefail
cd "$(dirname "$0")/../.."
. lib/setup/say.sh
say "Types, and whether the generated ones still match the contracts"
(cd web && npm run --silent contracts 2>/dev/null && git diff --exit-code --stat -- src/api/contracts.ts src/api/shapes.ts) ||
  fail "web/src/api does not match the contracts and shapes of the Ruby side. Run npm run contracts in web/ and commit it."
(cd web && npm run --silent types)
say "Lint"
bundle exec rubocop --format quiet
(cd web && npm run --silent lint)
say "Specs of the front end"
(cd web && npm run --silent test)
