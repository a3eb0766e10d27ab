import { createContext } from 'react';

/** Whether words count as they are typed, and not only once their field is left: where nobody else sees them before all is sent. */
export const AtOnce = createContext(false);
