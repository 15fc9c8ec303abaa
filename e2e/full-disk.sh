#!/bin/sh
# Fills and frees the disk under load, ten times or as often as given, and compares the log with what was acknowledged. Needs
# root, for a small disk of its own.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B install -DskipTests -pl .,core,links,standins,web,app
exec mvn -B -ntp -pl e2e test -Dtest=FullDiskTest -Dyokebar.fillings="${1:-10}"
