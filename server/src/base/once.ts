import { LRUCache } from 'lru-cache'

/**
 * What takes long and stays the same, by a key that says all it depends on: made once however many ask at one time, and kept as
 * far as the limits go. What fails is kept for nobody.
 */
export class Once<V extends object> {
  private readonly kept: LRUCache<string, V, () => Promise<V>>

  constructor(limits: LRUCache.OptionsMaxLimit<string, V, unknown> | LRUCache.OptionsSizeLimit<string, V, unknown>) {
    this.kept = new LRUCache<string, V, () => Promise<V>>({
      ...(limits as LRUCache.OptionsMaxLimit<string, V, () => Promise<V>>),
      fetchMethod: (_key, _stale, { context: make }) => make(),
      // Pushed out while it is made, it is given to those who wait all the same.
      ignoreFetchAbort: true,
    })
  }

  async of(key: string, make: () => Promise<V>): Promise<V> {
    return (await this.kept.fetch(key, { context: make }))!
  }
}
