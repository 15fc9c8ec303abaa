#!/bin/sh
# Kills Yokebar with -9 five times in the middle of 5 000 arriving contacts and checks that nothing is lost or doubled.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B install -DskipTests -pl .,core,links,standins,web,app
exec mvn -B -ntp -pl e2e test -Dtest=KillNineTest -Dyokebar.contacts=5000 -Dyokebar.kills=5
