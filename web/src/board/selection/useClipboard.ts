import { useEffect, useRef } from 'react';
import type { Mark } from '../../api/shapes';
import type { NewMark } from '../../live/board';
import { around, boundsOf } from '../geometry/boxes';
import { isWriting } from '../../parts/hooks/shortcuts';
import { afresh, copies } from './useMarkActions';

/** Marks travel under a type of their own, beside their words for programs elsewhere. */
const TYPE = 'application/x-veranda-marks+json';
/** Marks that are taken from a clipboard, which may hold anything. */
const MOST = 2_000;

interface Deps {
  page: string;
  mayDraw: boolean;
  selected: Mark[];
  /** The middle of what is seen, in page px. */
  middle: () => [number, number];
  onPut: (marks: NewMark[]) => void;
  onText: (text: string) => void;
  onFiles: (files: File[]) => void;
  onCut: () => void;
}

function marksIn(data: DataTransfer): NewMark[] | null {
  try {
    const marks = JSON.parse(data.getData(TYPE)) as NewMark[];
    return Array.isArray(marks) ? marks.slice(0, MOST) : null;
  } catch {
    return null;
  }
}

/** Copy, cut and paste of marks, within and between boards; text and pictures from elsewhere are pasted too. */
export function useClipboard(deps: Deps) {
  const latest = useRef(deps);
  useEffect(() => {
    latest.current = deps;
  });
  useEffect(() => {
    const foreign = (event: ClipboardEvent) => isWriting(event.target) || !!document.querySelector('[role=dialog]');

    const copy = (event: ClipboardEvent) => {
      const { selected, onCut } = latest.current;
      // Words that are marked elsewhere on the page are what is meant.
      if (!(window.getSelection()?.isCollapsed ?? true)) return;
      if (foreign(event) || selected.length === 0 || !event.clipboardData) return;
      event.clipboardData.setData(TYPE, JSON.stringify(selected.map(afresh)));
      event.clipboardData.setData(
        'text/plain',
        selected
          .map((mark) => mark.text ?? mark.alt ?? '')
          .join('\n')
          .trim(),
      );
      event.preventDefault();
      if (event.type === 'cut') onCut();
    };

    const paste = (event: ClipboardEvent) => {
      const { page, mayDraw, middle, onPut, onText, onFiles } = latest.current;
      const data = event.clipboardData;
      if (foreign(event) || !mayDraw || !data) return;
      const marks = marksIn(data);
      const text = data.getData('text/plain').trim();
      if (marks && marks.length > 0) {
        const box = around(marks.map((mark) => boundsOf(mark as Mark)))!;
        const [x, y] = middle();
        onPut(copies(marks, page, Math.round(x - box.x - box.w / 2), Math.round(y - box.y - box.h / 2)));
      } else if (data.files.length > 0) onFiles([...data.files]);
      else if (text) onText(text);
      else return;
      event.preventDefault();
    };

    window.addEventListener('copy', copy);
    window.addEventListener('cut', copy);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('copy', copy);
      window.removeEventListener('cut', copy);
      window.removeEventListener('paste', paste);
    };
  }, []);
}
