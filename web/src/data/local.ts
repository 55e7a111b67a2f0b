export const freshId = () => crypto.randomUUID().replaceAll('-', '').slice(0, 14)
export const todayIso = () => new Date().toISOString().slice(0, 10)
