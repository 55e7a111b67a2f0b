import { MAKER, type Reader } from '@nubrin/core/units'
import { createContext, useContext } from 'react'

/** Whom a part of the page is worded for: the maker, unless a client's page says otherwise. */
export const ReaderOfPage = createContext<Reader>(MAKER)
export const useReader = (): Reader => useContext(ReaderOfPage)
