import { createContext, useContext, useSyncExternalStore } from 'react';
import type { Stage } from './Stage';
import type { StageState } from './state';

export const StageContext = createContext<Stage | null>(null);

const never = () => () => {};

/** @returns sound and picture of the class around; null where there are none */
export const useStage = () => useContext(StageContext);

/** @returns how they stand; null where there are none */
export function useStageState(): StageState | null {
  const stage = useStage();
  return useSyncExternalStore(stage?.subscribe ?? never, () => stage?.state ?? null);
}
