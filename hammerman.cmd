@echo off
rem Hammerman on Windows: build what is not built, then run what is asked. See README.md.
setlocal EnableExtensions
set "here=%~dp0"
set "mvn="
for %%m in (mvn.cmd mvn.bat) do if not "%%~$PATH:m"=="" set "mvn=%%~$PATH:m"
if "%mvn%"=="" goto nomaven
if "%JAVA_HOME%"=="" goto nojdk
set "java=%JAVA_HOME%\bin\java.exe"
if not exist "%java%" goto wrongjdk
set "MAVEN_OPTS=%MAVEN_OPTS% --enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow"
set "command=%~1"
if "%command%"=="test" goto test
if not exist "%here%app\target\lib" goto build
if not exist "%here%target\built" goto build
rem Sources that are newer than what was built from them.
powershell -NoProfile -Command "$b=(Get-Item '%here%target\built').LastWriteTime; $f=@('pom.xml','core\pom.xml','cli\pom.xml','app\pom.xml','core\src\main','cli\src\main','app\src\main','examples') | ForEach-Object { Get-ChildItem -Recurse -File (Join-Path '%here%' $_) } | Where-Object { $_.LastWriteTime -gt $b } | Select-Object -First 1; if ($f) { exit 1 }"
if errorlevel 1 goto build
:built
rem As in ./hammerman: the optimising compiler is kept from what runs a few times only, and the young heap is small.
set "options=--enable-native-access=ALL-UNNAMED -XX:+UseSerialGC --sun-misc-unsafe-memory-access=allow -Xmn40m"
set "options=%options% -XX:Tier4InvocationThreshold=50000 -XX:Tier4MinInvocationThreshold=6000"
set "options=%options% -XX:Tier4CompileThreshold=150000 -XX:Tier4BackEdgeThreshold=400000"
set "classes=%here%app\target\*;%here%app\target\lib\*"
for %%c in (predict check plan convert match probe procedure parts read-run pack meter tester rules) do if "%command%"=="%%c" goto line
if "%command%"=="demo" goto demo
"%java%" %options% -cp "%classes%" hammerman.app.Launcher %*
exit /b %errorlevel%

:line
"%java%" %options% -cp "%classes%" hammerman.cli.Main %*
exit /b %errorlevel%

:demo
"%java%" %options% -cp "%classes%" hammerman.app.Launcher --demo
exit /b %errorlevel%

:test
call "%mvn%" -B -ntp -f "%here%pom.xml" verify
exit /b %errorlevel%

:build
echo hammerman: building, a minute or two the first time ... 1>&2
call "%mvn%" -B -q -f "%here%pom.xml" package -Dmaven.test.skip=true -Dexec.skip=true
if errorlevel 1 exit /b 3
if not exist "%here%target" mkdir "%here%target"
type nul > "%here%target\built"
goto built

:nomaven
echo hammerman: Maven (mvn) was not found; install it. 1>&2
exit /b 3

:nojdk
echo hammerman: set JAVA_HOME to a JDK 25 or later. 1>&2
exit /b 3

:wrongjdk
echo hammerman: there is no JDK at JAVA_HOME, "%JAVA_HOME%". 1>&2
exit /b 3
