import { useState } from 'react';

const KEPT = 'zakat.single-keys';

/** Whether single letters lead to places when nothing is being typed; kept in this browser. */
export function useSingleKeys(): [boolean, (isOn: boolean) => void] {
  const [isOn, setOn] = useState(() => localStorage.getItem(KEPT) !== 'off');
  return [
    isOn,
    (next) => {
      localStorage.setItem(KEPT, next ? 'on' : 'off');
      setOn(next);
    },
  ];
}
