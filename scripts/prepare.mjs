// npm runs this after `npm install` and `npm ci`: it bundles the command line, and notes that the packages are installed.
import "./bundle.mjs";
import { noteInstalled } from "./install.mjs";

noteInstalled();
