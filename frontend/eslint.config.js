import js from "@eslint/js";
import globals from "globals";

export default [
  js.configs.recommended,
  { rules: { eqeqeq: "error", "no-var": "error", "prefer-const": "error", "no-shadow": "off" } },
  { files: ["src/**"], languageOptions: { globals: { ...globals.browser, htmx: "readonly" } } },
  { files: ["test/**", "*.mjs"], languageOptions: { globals: globals.node } },
];
