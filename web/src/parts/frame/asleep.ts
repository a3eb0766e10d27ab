import { createContext } from 'react';

/** Whether one is in a part of the page that is there but not shown: its keys do nothing. */
export const Asleep = createContext(false);
