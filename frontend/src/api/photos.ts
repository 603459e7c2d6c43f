import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, SAID_BELOW, unwrap } from "@/api/client";

/** What the server takes; it reads the file itself and believes no ending. */
export const PHOTO_TYPES = "image/jpeg,image/png,image/webp";

/** Put a picture onto a sheet. */
export function useAddPhoto(cookId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (file: File) =>
      unwrap(
        client.POST("/api/cooks/{cook_id}/photos", {
          params: { path: { cook_id: cookId } },
          // the picture itself is the body
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { "Content-Type": file.type || "application/octet-stream" },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks", "one", cookId] }),
  });
}

/** Take a photo off its sheet, or put it back. */
export function useRemovePhoto(cookId: string) {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: ({ id, restore }: { id: string; restore: boolean }) => {
      const params = { path: { photo_id: id } };
      return restore
        ? unwrap(client.POST("/api/photos/{photo_id}/restore", { params }))
        : unwrap(client.DELETE("/api/photos/{photo_id}", { params }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks", "one", cookId] }),
  });
}
