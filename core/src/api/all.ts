import { commissions } from './commissions'
import { fonts } from './fonts'
import { handoffs } from './handoffs'
import { learning } from './learning'
import { letters } from './letters'
import { media } from './media'
import { orders } from './orders'
import { people } from './people'
import { plan } from './plan'
import { quotes } from './quotes'
import { rack } from './rack'
import { shelf } from './shelf'
import { system } from './system'

/** Every route of the API by its name. */
export const API = {
  ...system,
  ...people,
  ...rack,
  ...plan,
  ...orders,
  ...letters,
  ...quotes,
  ...learning,
  ...commissions,
  ...media,
  ...handoffs,
  ...shelf,
  ...fonts,
} as const
export type Api = typeof API
export type RouteName = keyof Api
