import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
  test: {
    environment: "node",
    include: ["tests/**/*.test.ts"],
    // what has logic of its own; screens are driven by the browser tests
    coverage: {
      provider: "v8",
      include: [
        "src/lib/**/*.ts",
        "src/text/**/*.ts",
        "src/drawing/**/*.ts",
        "src/features/**/*.ts",
      ],
      reporter: ["text"],
    },
  },
});
