// A run as a file: the log, which writes it, and the command line.

export { type RunFile, readRunFile, runFileSchema, runFileText, runInTableOf } from "../formats/runFile";
