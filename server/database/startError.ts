/** A reason not to start that one sentence can say. The start script prints it and ends with 1. */
export class StartError extends Error {}
