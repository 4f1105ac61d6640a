@echo off
rem Starts Jolly Beaker. Options as: start.cmd --port 4280 --data some\folder --no-demo
node "%~dp0scripts\start.mjs" %*
