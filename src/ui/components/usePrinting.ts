import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page is being printed: what is drawn then is on the paper. */
export function usePrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return isPrinting;
}
