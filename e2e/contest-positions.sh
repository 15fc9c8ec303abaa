#!/bin/sh
# Logs 3 000 contacts at three positions into one contest book, kills Yokebar with -9 twice meanwhile, and checks serials, dupes and score.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B install -DskipTests -pl .,core,links,standins,web,app
exec mvn -B -ntp -pl e2e test -Dtest=ContestPositionsTest -Dyokebar.contest-contacts=3000
