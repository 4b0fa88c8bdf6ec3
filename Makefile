# What CI runs is `make check`; bin/test installs what it needs and calls it.

.PHONY: check versions slowest style types analyse places core app units journeys faults-short faults property bench screenshots same planted language contract answers

check: types
	$(MAKE) --no-print-directory -j2 -Otarget style analyse units
	$(MAKE) --no-print-directory core app journeys faults-short slowest
	php bench/versions.php

# The ten that took longest, of those that keep their times.
slowest:
	php bench/slowest.php test-results/core.xml test-results/app.xml test-results/journeys.xml

style:
	vendor/bin/pint --test
	npx prettier --check resources/js resources/css e2e bench/faults lang api docs/spec.schema.json playwright.config.ts vite.config.ts vite.onefile.config.ts vitest.config.ts --log-level warn
	npx eslint resources/js e2e --max-warnings 0

# The browser's types are generated from api/openapi.json and never kept.
types:
	npm run --silent types >/dev/null
	npx tsc --noEmit

analyse:
	core/vendor/bin/phpstan analyse -c core/phpstan.neon --no-progress --memory-limit=1G
	vendor/bin/phpstan analyse --no-progress --memory-limit=2G

# Whether every fault that `make planted` plants still has its place; nothing is planted.
places:
	php bench/planted/run.php places

# In its own vendor folder, where nothing of the application can be found.
core:
	core/vendor/bin/paratest -c core/phpunit.xml --functional --log-junit test-results/core.xml

app:
	vendor/bin/phpunit --log-junit test-results/app.xml

units:
	npx vitest run

journeys:
	npx playwright test

# Kills, full disks, hostile files and impatient makers, done to a running Gimbo from outside: a few of each, or (in some
# twenty minutes) as many as the README says. `PART=kills` for one of them.
faults-short:
	node bench/faults/run.mjs --short

faults:
	node bench/faults/run.mjs $(PART)

# The properties on many more random requests than `make check` has time for: some 100,000 over all makes.
property:
	GIMBO_PROPERTY_RUNS=$(or $(RUNS),9100) core/vendor/bin/phpunit -c core/phpunit.xml core/tests/Property

bench:
	bench/run

# Takes the pictures of every main view anew, for views that changed on purpose. Look at each of them afterwards.
screenshots:
	npx playwright test pictures --update-snapshots=all

# Holds today's results against those of a commit: `make same COMMIT=main`; `LINE=` writes one difference out.
same:
	bench/same/run $(COMMIT) $(or $(RUNS),2000) $(LINE)

# Plants small faults one after another and runs the tests that must find each (no golden files among them).
planted:
	php bench/planted/run.php core $(ONLY)
	php bench/planted/run.php screens $(ONLY)

# Makes the made-up language anew from what English says now; the journeys show every view in it.
language:
	GIMBO_WRITE_LANGUAGE=1 npx playwright test language -g "is made of what English says"

# Writes what of the contract is the program's own: enums, and what a spec may say.
contract:
	php api/contract.php
	npx prettier --write api docs/spec.schema.json --log-level warn

# Two thousand random requests and their answers against the contract.
answers:
	GIMBO_ANSWERS=$(or $(RUNS),185) vendor/bin/phpunit tests/Feature/AnswersTest.php

# Keeps the versions of the PHP packages that are installed now as those that were tested.
versions:
	php bench/versions.php --write
