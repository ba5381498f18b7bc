@echo off
rem Hammerman on Windows: build what is not built, then run what is asked. See README.md.
setlocal EnableExtensions
set "here=%~dp0"
where mvn >nul 2>nul || (echo hammerman: Maven ^(mvn^) was not found; install it. 1>&2 & exit /b 3)
if not defined JAVA_HOME (echo hammerman: set JAVA_HOME to a JDK 25 or later. 1>&2 & exit /b 3)
set "java=%JAVA_HOME%\bin\java.exe"
if not exist "%java%" (echo hammerman: there is no JDK at JAVA_HOME, "%JAVA_HOME%". 1>&2 & exit /b 3)
set "MAVEN_OPTS=%MAVEN_OPTS% --enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow"
set "command=%~1"
if "%command%"=="test" (
  call mvn -B -ntp -f "%here%pom.xml" verify
  exit /b
)
if not exist "%here%app\target\lib" (
  echo hammerman: building ^(a minute or two the first time^) ... 1>&2
  call mvn -B -q -f "%here%pom.xml" package -Dmaven.test.skip=true -Dexec.skip=true || exit /b 3
)
set "options=--enable-native-access=ALL-UNNAMED -XX:+UseSerialGC --sun-misc-unsafe-memory-access=allow"
set "classes=%here%app\target\*;%here%app\target\lib\*"
for %%c in (predict check plan convert rules) do if "%command%"=="%%c" (
  "%java%" %options% -cp "%classes%" hammerman.cli.Main %*
  exit /b
)
if "%command%"=="demo" (
  "%java%" %options% -cp "%classes%" hammerman.app.Launcher --demo
  exit /b
)
"%java%" %options% -cp "%classes%" hammerman.app.Launcher %*
