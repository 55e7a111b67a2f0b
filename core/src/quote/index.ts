export { type Actual, actualOf, type CostOf, draftQuote, type MixedCurrency, mixedIn, type Terms } from './draft'
export { digitsOf, minorOf, moneyText, parseMoney } from './money'
export { type QuotePaper, type QuoteRow, quotePaper } from './paper'
export { changedOffer, LINE_KINDS, PAYMENT_KINDS, QUOTE_STATES, Quote, type Sums, sumsOf } from './quote'
