// All that the pages do by themselves, a room a module.
import "./edits.js";
import "./waiting.js";
import "./calm.js";
import "./keys.js";
import "./floor.js";
import "./draft.js";
import "./wiring.js";
import "./changes.js";
import "./prompt.js";
import "./capture.js";
import "./drawn.js";
import "./copy.js";
import "./focus.js";
import "./news.js";
import "./sideways.js";
import "./heard.js";
import "./hung.js";
