import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { ApiFailure } from "~/data/client/api";

/**
 * Puts what the server says of one field beside that field.
 * @returns the sentence to show for the whole form; null when it stands beside a field
 */
export function placeError<T extends FieldValues>(
  form: UseFormReturn<T>,
  error: Error | null,
): string | null {
  if (!error) return null;
  const path = error instanceof ApiFailure ? error.path : null;
  if (path === null || !(path in form.getValues())) return error.message;
  form.setError(path as Path<T>, { message: error.message }, { shouldFocus: true });
  return null;
}
