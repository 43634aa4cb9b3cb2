// Puts styles, fonts and scripts where the jar takes them from. Nothing is fetched when the application runs.
import { execFileSync } from "node:child_process";
import { cpSync, mkdirSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { buildSync } from "esbuild";

const target = join("target", "classes", "static");
const fonts = [
  ["@fontsource/barlow-condensed", "barlow-condensed-latin-600-normal.woff2"],
  ["@fontsource/barlow-condensed", "barlow-condensed-latin-500-normal.woff2"],
  ["@fontsource/barlow-semi-condensed", "barlow-semi-condensed-latin-500-normal.woff2"],
  ["@fontsource/barlow-semi-condensed", "barlow-semi-condensed-latin-600-normal.woff2"],
  ["@fontsource/atkinson-hyperlegible-next", "atkinson-hyperlegible-next-latin-400-normal.woff2"],
  ["@fontsource/atkinson-hyperlegible-next", "atkinson-hyperlegible-next-latin-700-normal.woff2"],
];

mkdirSync(join(target, "fonts"), { recursive: true });
for (const [name, file] of fonts) {
  cpSync(join("node_modules", name, "files", file), join(target, "fonts", file));
}
cpSync(join("node_modules", "htmx.org", "dist", "htmx.min.js"), join(target, "htmx.js"));
cpSync(join("node_modules", "htmx.org", "dist", "ext", "hx-sse.min.js"), join(target, "hx-sse.js"));
// Each page's script with what it imports in one file, so that one name and one hash stand for all of it.
buildSync({
  entryPoints: readdirSync("src").filter((name) => name.endsWith(".js") && name !== "value-queue.js").map((name) => join("src", name)),
  outdir: target,
  bundle: true,
  format: "esm",
  target: "es2022",
});
cpSync(join("src", "ostendum.svg"), join(target, "ostendum.svg"));
execFileSync(
  join("node_modules", ".bin", "tailwindcss"),
  ["--input", join("src", "app.css"), "--output", join(target, "app.css"), "--minify"],
  { stdio: ["ignore", "ignore", "inherit"] },
);
