import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ConvertIn, client, type ExportFormat, type RecipeIn, unwrap } from "@/api/client";

/** Read a file or a paste; its bytes go as they are, so that the encoding is found out there. */
export function useReadRecipe() {
  return useMutation({
    mutationFn: ({ content, name }: { content: Blob; name: string }) =>
      unwrap(
        client.POST("/api/recipes/read", {
          params: { query: { name } },
          body: "",
          bodySerializer: () => content,
          headers: { "Content-Type": "application/octet-stream" },
        }),
      ),
  });
}

/** The conversion of what stands here; the last answer stays while the next is on its way. */
export function useConverted(request: ConvertIn | null) {
  return useQuery({
    queryKey: ["converted", request],
    queryFn: ({ signal }) =>
      unwrap(client.POST("/api/recipes/convert", { body: request as ConvertIn, signal })),
    enabled: request !== null,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}

export function useExport() {
  return useMutation({
    mutationFn: ({ request, format }: { request: ConvertIn; format: ExportFormat }) =>
      unwrap(client.POST("/api/recipes/export", { body: { request, format } })),
  });
}

export function useLibrary(search: string, tag: string) {
  return useQuery({
    queryKey: ["recipes", "list", search, tag],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET("/api/recipes", { params: { query: { search, tag, limit: 200 } }, signal }),
      ),
    placeholderData: keepPreviousData,
  });
}

export function useStoredRecipe(id: string | null) {
  return useQuery({
    queryKey: ["recipes", "one", id],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET("/api/recipes/{recipe_id}", {
          params: { path: { recipe_id: id ?? "" } },
          signal,
        }),
      ),
    enabled: id !== null,
  });
}

function useLibraryChange<T, R>(change: (value: T) => Promise<R>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => queries.invalidateQueries({ queryKey: ["recipes"] }),
  });
}

interface RecipeToKeep {
  id: string | null;
  /** The version the change was made from; null writes over any. */
  seen: number | null;
  body: RecipeIn;
}

export function useKeepRecipe() {
  return useLibraryChange(async ({ id, seen, body }: RecipeToKeep) => {
    if (id === null) return unwrap(client.POST("/api/recipes", { body }));
    const params = { path: { recipe_id: id }, query: { seen } };
    return unwrap(client.PUT("/api/recipes/{recipe_id}", { params, body }));
  });
}

export function useDeleteRecipe() {
  return useLibraryChange(({ id, restore }: { id: string; restore: boolean }) => {
    const params = { path: { recipe_id: id } };
    return restore
      ? unwrap(client.POST("/api/recipes/{recipe_id}/restore", { params }))
      : unwrap(client.DELETE("/api/recipes/{recipe_id}", { params }));
  });
}
