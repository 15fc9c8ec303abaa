#!/bin/sh
# Runs every benchmark and prints its figures. Arguments name the ones to run: adi intake latency startup radio who log nets contest received pictures stations
# sources services air guard, and live and index, which are not run unless they are named.
set -eu
cd "$(dirname "$0")/.."
which=${*:-adi intake latency startup radio who log nets contest stations received pictures sources services air guard}
mvn -q -B install -DskipTests -pl .,core,links,standins,web,app,e2e,bench/blank-app,bench
jars() { mvn -q -pl bench dependency:build-classpath -Dmdep.outputFile=/dev/stdout -Dmdep.includeScope=test; }
classpath="bench/target/classes:$(jars)"
for name in $which; do
  case $name in
    adi) java -cp "$classpath" yokebar.bench.AdiFigures | grep -E '^(ADI|grep)' ;;
    intake) java -cp "$classpath" yokebar.bench.IntakeFigures | grep '^intake' ;;
    latency) java -cp "$classpath" yokebar.bench.LatencyFigures ;;
    startup) java -cp "$classpath" yokebar.bench.StartupFigures ;;
    radio) java -cp "$classpath" yokebar.bench.RadioFigures ;;
    who) java -Xmx1g -cp "$classpath" yokebar.bench.WhoFigures ;;
    # The first time it makes a log of a million contacts in bench/target, which takes some minutes; -Dcontacts=… for fewer.
    log) java -Xmx700m -cp "$classpath" yokebar.bench.LogFigures | grep '^log' ;;
    # Uses the log that "log" makes.
    nets) java -Xmx700m -cp "$classpath" yokebar.bench.NetFigures | grep '^nets' ;;
    contest) java -cp "$classpath" yokebar.bench.ContestFigures ;;
    # Not among those run without arguments: it takes about a quarter of an hour.
    live) java -Xmx700m -cp "$classpath" yokebar.bench.ContestLiveFigures | grep '^contest' ;;
    stations) java -cp "$classpath" yokebar.bench.StationListFigures ;;
    received) java -cp "$classpath" yokebar.bench.ReceivedTextFigures ;;
    pictures) java -Xmx700m -cp "$classpath" yokebar.bench.PictureFigures | grep '^pictures' ;;
    sources) java -Xmx700m -cp "$classpath" yokebar.bench.SourceFigures | grep '^sources' ;;
    # Likewise with a log of its own of a million contacts.
    services) java -Xmx700m -cp "$classpath" yokebar.bench.ServiceFigures | grep '^services' ;;
    # Not among those run without arguments: it compares the index with what libraries would make of it.
    index)
      for candidate in columns bitmaps library; do
        java -Xmx4g -cp "$classpath" yokebar.bench.index.IndexFigures "$candidate" | grep '^index'
      done
      ;;
    guard) java -cp "$classpath" yokebar.app.platform.web.GuardFigures ;;
    air) java -Xmx2g -cp "$classpath" yokebar.bench.AirFigures ;;
    *)
      echo "no benchmark is called $name" >&2
      exit 2
      ;;
  esac
done
