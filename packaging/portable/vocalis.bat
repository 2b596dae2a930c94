@echo off
rem Starts Vocalis on Windows with the Java that is there: vocalis [FILE], vocalis --demo, or a command.
setlocal
set "here=%~dp0"
set "java=java"
if defined JAVA_HOME if exist "%JAVA_HOME%\bin\java.exe" set "java=%JAVA_HOME%\bin\java"
set "version="
for /f "tokens=3" %%v in ('""%java%" -version 2^>^&1" ^| findstr /i /c:" version "') do if not defined version set "version=%%~v"
if not defined version (
  echo vocalis: Java is missing. Install Java 17 or newer, or set JAVA_HOME to it. 1>&2
  pause
  exit /b 2
)
for /f "tokens=1 delims=.-+" %%n in ("%version%") do set "major=%%n"
if %major% LSS 17 (
  echo vocalis: "%java%" is Java %version%; 17 or newer is needed. Set JAVA_HOME to a newer one. 1>&2
  pause
  exit /b 2
)
set "newer="
if %major% GEQ 24 set "newer=--enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow"
set "window="
if "%~1"=="" set "window=yes"
if "%~1"=="--demo" set "window=yes"
if "%~1"=="--light" set "window=yes"
if not "%~1"=="" if exist "%~1" set "window=yes"
if defined window (
  start "Vocalis" "%java%w" -XX:+UseSerialGC -Xms96m -XX:SoftRefLRUPolicyMSPerMB=1 -XX:MaxHeapFreeRatio=40 %newer% -cp "%here%lib\*;%here%lib\windows\*" vocalis.desktop.Launcher %*
  exit /b 0
)
"%java%" -XX:+UseSerialGC %newer% -cp "%here%lib\*" vocalis.cli.Main %*
exit /b %errorlevel%
