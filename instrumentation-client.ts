// Runs in the browser before anything of a page is made ready.
import "./client/planThread.ts";
