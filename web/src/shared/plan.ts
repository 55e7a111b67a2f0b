import type { Question, ShopState } from '@nubrin/core/schedule'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { lightFormat } from 'date-fns'
import { useMemo } from 'react'
import { type ShopPlan, usePlan } from '../data'
import { askForecast } from '../workers/askForecast'

/** All that a forecast follows from, as the core takes it. */
const stateOf = (plan: ShopPlan): ShopState => {
  const { today, people, open, coming } = plan
  return { today, minute: minuteHere(plan), people, open, coming }
}
const NOTHING: Question = {}
/** The day's work passes by the clock of whoever looks, where it is the same day there. */
function minuteHere(plan: ShopPlan): number {
  const here = new Date()
  return plan.today === lightFormat(here, 'yyyy-MM-dd') ? here.getHours() * 60 + here.getMinutes() : plan.minute
}

/** How the open commissions will go, worked out beside the page; with a question, how they would. */
export function useForecast(question: Question | undefined = NOTHING, wanted = true) {
  const plan = usePlan(wanted)
  // The minute alone makes no other plan: it is asked for anew with the rest.
  const stamp = plan.dataUpdatedAt
  const key = useMemo(() => JSON.stringify(question), [question])
  const said = useQuery({
    queryKey: ['forecast', stamp, key],
    enabled: !!plan.data && !!question,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
    queryFn: () => askForecast({ shop: stateOf(plan.data!), log: plan.data!.log, question: question! }),
  })
  return { plan, said }
}
