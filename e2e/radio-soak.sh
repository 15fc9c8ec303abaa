#!/bin/sh
# Half an hour, or as many minutes as given, with a radio, programs and an application that fail in every way. Prints what the
# radio's own clock saw.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B install -DskipTests -pl .,core,links,standins,web,app
exec mvn -B -ntp -pl e2e test -Dtest=RadioSoakTest -Dyokebar.soak-seconds=$((${1:-30} * 60)) -Dyokebar.seed="${2:-11}"
