import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { queryClient } from "@/api/queries";
import { App } from "@/app/App";
import { applyTheme, savedTheme } from "@/app/theme";
import "@/app/main.css";
import { recallLocale } from "@/lib/locale";

applyTheme(savedTheme());
recallLocale();
const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  );
}
