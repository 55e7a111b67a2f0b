/** Turns a camelCase key into words for a maker's screen: `bladeRetention` → `blade retention`. Never for a client. */
export const keyWords = (key: string) => key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()
