#!/usr/bin/env bash
# Builds the application image: a runtime of its own, the program, its fast start, and the notices of what it ships.
# Called by ./hammerman image, which has built the program; $1 is the JDK, $2 the folder that the image goes into.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
jdk=$1
out=$2
version=0.1.0
work=$here/target/image
say() { printf 'hammerman: %s\n' "$*" >&2; }

rm -rf "$work"
mkdir -p "$work/input" "$work/notices"
cp "$here/app/target/hammerman-app-$version.jar" "$here"/app/target/lib/*.jar "$work/input/"

read -r -a options <<< "$HAMMERMAN_OPTIONS" # of the Java machine, as the script has them

say "collecting the notices of what is shipped ..."
"$jdk/bin/java" "$here/packaging/Notices.java" "$work/input" "$work/notices"

say "linking a runtime ..."
"$jdk/bin/jlink" --output "$work/runtime" --strip-debug --no-header-files --no-man-pages \
  --add-modules java.base,java.compiler,java.desktop,java.instrument,java.logging,java.management,java.naming,java.net.http,java.scripting,java.security.jgss,java.sql,java.xml,jdk.charsets,jdk.crypto.ec,jdk.jfr,jdk.localedata,jdk.unsupported,jdk.zipfs \
  --include-locales=en

say "packing the image ..."
rm -rf "$out/Hammerman"
mkdir -p "$out"
"$jdk/bin/jpackage" --type app-image --name Hammerman --app-version "$version" \
  --description "Design, build and prove a lithium battery pack" \
  --input "$work/input" --main-jar "hammerman-app-$version.jar" --main-class hammerman.app.Launcher \
  --runtime-image "$work/runtime" --dest "$out" --icon "$here/packaging/hammerman.png" \
  --java-options "${options[*]}"

root=$out/Hammerman
case "$(uname)" in Darwin) app=$out/Hammerman.app/Contents/app; runtime=$out/Hammerman.app/Contents/runtime/Contents/Home ;; *) app=$root/lib/app; runtime=$root/lib/runtime ;; esac
cp -r "$work/notices" "$app/notices"
mkdir -p "$app/desktop"
cp "$here"/packaging/hammerman.desktop "$here"/packaging/hammerman-mime.xml "$app/desktop/"

say "preparing its fast start ..."
# The cache is good for the very class path that it was made with: that of the image, in its order.
path=$(sed -n 's/^app\.classpath=//p' "$app/Hammerman.cfg" | sed "s#\$APPDIR#$app#" | paste -sd: -)
java=$runtime/bin/java
if [ ! -x "$java" ]; then java=$jdk/bin/java; fi
if "$java" "${options[@]}" -Dglass.platform=Headless -Dprism.order=sw -XX:+UnlockDiagnosticVMOptions -XX:-AOTRecordTraining -XX:AOTCacheOutput="$app/hammerman.aot" -cp "$path" hammerman.app.Launcher --rehearse >/dev/null 2>&1; then
  sed -i.bak 's#^\[JavaOptions\]#[JavaOptions]\njava-options=-XX:AOTCache=$APPDIR/hammerman.aot\njava-options=-Xlog:aot=off\njava-options=-Xlog:cds=off#' "$app/Hammerman.cfg" && rm -f "$app/Hammerman.cfg.bak"
else
  say "no fast start on this JDK; going on without."
fi

say "starting it once ..."
started=$(cd / && env -u JAVA_HOME "$java" "${options[@]}" -Dglass.platform=Headless -Dprism.order=sw -XX:AOTCache="$app/hammerman.aot" -Xlog:aot=off -Xlog:cds=off -cp "$path" hammerman.app.Launcher --until-shown)
say "$started"
say "the image is in $root; double-click bin/Hammerman, or see README.md on opening projects with it."
