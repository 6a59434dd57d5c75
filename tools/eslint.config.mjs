// Rules for the scripts of pages: what is surely wrong, and nothing of taste, which the formatter decides.
import { createRequire } from "node:module";

// The linter's own packages stand where the script has put them.
const require = createRequire(process.env.SMORGAS_TOOLS + "/");
const js = require("@eslint/js");
const globals = require("globals");

export default [
  js.configs.recommended,
  {
    languageOptions: {
      ecmaVersion: 2023,
      sourceType: "script",
      globals: { ...globals.browser, htmx: "readonly", Idiomorph: "readonly" },
    },
    linterOptions: { reportUnusedDisableDirectives: "error" },
    rules: { eqeqeq: "error", "no-var": "error", "prefer-const": "error", "no-implicit-globals": "error" },
  },
];
