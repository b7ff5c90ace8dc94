/** A production build that is newer than its sources, as a command of its own. */
import { ensureBuild } from "./ensure.mjs";

ensureBuild();
