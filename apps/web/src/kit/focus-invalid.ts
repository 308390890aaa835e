import { useEffect, type RefObject } from 'react';

/** After the `tries`th try to save, the focus goes to the first field that is wrong. */
export function useFocusInvalid(form: RefObject<HTMLElement | null>, tries: number): void {
  useEffect(() => {
    if (tries > 0) form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [form, tries]);
}
