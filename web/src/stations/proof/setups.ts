/** How a saber is put together for a test, in words. */
export const SETUP_WORDS = { any: 'as it is', plug: 'with the plug', blade: 'with the blade', opened: 'opened' }
