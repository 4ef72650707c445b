@echo off
rem Starts Pixeron on Windows: the window, or a command such as "pixeron demo". Builds it first where that has not been done.
setlocal enabledelayedexpansion
set "HERE=%~dp0"
set "TARGET=%HERE%app\target"
set "JAR=%TARGET%\pixeron-app-0.1.0.jar"
set "JAVA=java"
if defined JAVA_HOME if exist "%JAVA_HOME%\bin\java.exe" set "JAVA=%JAVA_HOME%\bin\java.exe"
"%JAVA%" -version >nul 2>&1
if errorlevel 1 (
    echo pixeron: no Java is found; install a JDK 17 or newer, or set JAVA_HOME to one. 1>&2
    exit /b 2
)
set "VERSION="
for /f "tokens=3" %%v in ('^""%JAVA%" -version 2^>^&1 ^| findstr /i version^"') do if not defined VERSION set "VERSION=%%~v"
for /f "delims=.-+" %%m in ("%VERSION%") do set "MAJOR=%%m"
if %MAJOR% LSS 17 (
    echo pixeron: Java %MAJOR% is too old; install a JDK 17 or newer, or set JAVA_HOME to one. 1>&2
    exit /b 2
)
if not exist "%TARGET%\built" (
    where mvn >nul 2>&1
    if errorlevel 1 (
        echo pixeron: Maven is not found; install Maven 3.8 or newer to build Pixeron on first use. 1>&2
        exit /b 2
    )
    echo Building Pixeron; this is done once. 1>&2
    if not exist "%TARGET%" mkdir "%TARGET%"
    pushd "%HERE%"
    call mvn -q -B -DskipTests -pl core,arguments,cli,app package >"%TARGET%\build.log" 2>&1
    if errorlevel 1 (
        popd
        echo pixeron: the build failed; %TARGET%\build.log says why. 1>&2
        exit /b 2
    )
    popd
    type nul > "%TARGET%\built"
)
if "%~1"=="package" (
    "%JAVA%" "-Dpixeron.home=%HERE%." "%HERE%packaging\Package.java"
    exit /b !errorlevel!
)
set "WINDOW=yes"
for %%c in (run facts explain check compare gray new steps program demo table report worksheet mark -h --help -V --version) do if "%~1"=="%%c" set "WINDOW=no"
if "%WINDOW%"=="no" (
    chcp 65001 >nul
    "%JAVA%" -XX:+UseSerialGC -Djava.awt.headless=true -cp "%JAR%;%TARGET%\lib\*" pixeron.app.Main %*
    exit /b !errorlevel!
)
set "MODULES="
for %%f in ("%TARGET%\lib\javafx-*.jar") do set "MODULES=!MODULES!%%f;"
rem Time in the first second goes into the window rather than into compiling what runs a few thousand times.
set "COMPILING=-XX:Tier4InvocationThreshold=50000 -XX:Tier4MinInvocationThreshold=6000 -XX:Tier4CompileThreshold=150000 -XX:Tier4BackEdgeThreshold=400000"
"%JAVA%" -XX:+UseSerialGC %COMPILING% --module-path "%MODULES%" --add-modules javafx.controls -cp "%JAR%;%TARGET%\lib\*" pixeron.app.Main %*
exit /b %errorlevel%
