import { createContext, useContext } from 'react';
import type { Scheme } from './theme.ts';

export const SchemeContext = createContext<{ scheme: Scheme; toggle: () => void }>({
  scheme: 'light',
  toggle: () => undefined,
});
export const useScheme = () => useContext(SchemeContext);
