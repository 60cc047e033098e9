/** A stack with a native header: the app has one slot, and no screen is shown in this. */
export const createNativeStackNavigator = () => ({ Navigator: () => null });
