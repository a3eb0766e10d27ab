import { createContext } from 'react';

/** The course whose shelf is at hand; null for those who do not teach it. */
export const ShelfContext = createContext<{ course: string } | null>(null);
