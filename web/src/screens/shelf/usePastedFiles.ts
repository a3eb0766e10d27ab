import { useEffect, useRef } from 'react';

/** Files that are pasted anywhere on the page, but not into a field. */
export function usePastedFiles(onFiles: (files: File[]) => void) {
  const latest = useRef(onFiles);
  useEffect(() => {
    latest.current = onFiles;
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0 || event.target instanceof HTMLInputElement) return;
      event.preventDefault();
      latest.current(files);
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, []);
}
