#!/bin/sh
# Ten minutes in which everything goes wrong at all services, seeded: 5 000 contacts, five kills. Prints what was seen.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B install -DskipTests -pl .,core,links,standins,web,app
exec mvn -B -ntp -pl e2e test -Dtest=ChaosTest -Dyokebar.contacts=5000 -Dyokebar.kills=5 -Dyokebar.chaos-seconds=600 \
  -Dyokebar.seed="${1:-7}"
