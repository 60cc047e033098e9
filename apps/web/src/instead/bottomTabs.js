import { createContext } from 'react';

/** The one thing of the tab bars that other parts of the router ask for: there is none. */
export const BottomTabBarHeightContext = createContext(undefined);
