import { createContext, useContext } from 'react';
import type { Asked } from '../workings/WorkingDrawer';

/** Opens the working of a figure. */
export const AskContext = createContext<(asked: Asked) => void>(() => undefined);

export const useAsk = () => useContext(AskContext);
