import { useEffect, useState } from 'react';

/** @returns a value once it has not changed for so many ms, as while somebody types */
export function useRested<Value>(value: Value, ms: number): Value {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
