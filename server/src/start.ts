/* What starts the program. It is apart from the rest, so that the database wakes before all of that is loaded. */
export { Claim } from './wake/index.js';
export { networkFromEnvironment, portFromEnvironment, serve } from './serve.js';
