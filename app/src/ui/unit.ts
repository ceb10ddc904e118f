import type { LengthUnit } from '@whelk/core/quantity';
import { createContext, useContext } from 'react';

/** The unit of a page: its drawing's, its lathe's, or the shop's. What is said on it is said in that unit. */
export const UnitOfPage = createContext<LengthUnit>('mm');
export const useUnit = (): LengthUnit => useContext(UnitOfPage);
