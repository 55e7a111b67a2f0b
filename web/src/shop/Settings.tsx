import type { Api, GoodOf } from '@nubrin/core/api'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useForm } from 'react-hook-form'
import { call } from '../data'
import { Refused, SelectCell } from '../kit'
import { useSession } from '../store/session'
import { Block, useDeed, Why } from './parts'

type Form = Required<GoodOf<Api['settings']>>
type PricesFor = Form['pricesFor']
const PRICES_FOR: Record<PricesFor, string> = {
  ...{ owner: 'owners alone', maker: 'makers and owners', helper: 'everybody who works here' },
}

const NAMES: Record<keyof Form, string> = {
  name: 'Name',
  contact: 'Contact',
  address: 'Address',
  closing: 'Closing words of a handoff',
  signature: 'Signature line',
  publicUrl: 'Web address for client links',
  linkDays: 'Days a client’s link lasts (0: always)',
  currency: 'Currency of quotes',
  hourRate: 'Hourly rate',
  margin: 'Markup on parts, %',
  pricesFor: 'Prices visible to',
}

const aNumber = (v: unknown) => Number.isFinite(v) || 'A number.'

/** About the shop, on paper and on clients' pages. */
export function Settings({ mayChange }: { mayChange: boolean }) {
  return mayChange ? <SettingsForm /> : <SettingsRead />
}

function SettingsRead() {
  const settings = useQuery({ queryKey: ['settings'], queryFn: () => call('settings', {}) })
  const said = (Object.keys(NAMES) as (keyof Form)[]).filter(
    (k) => settings.data?.[k] !== '' && settings.data?.[k] !== undefined,
  )
  return (
    <Block title="About the shop">
      <dl>
        {settings.data
          ? said.map((k) => (
              <div key={k} className="border-rule grid grid-cols-[14rem_1fr] gap-3 border-b py-1.5">
                <dt className="text-quiet">{NAMES[k]}</dt>
                <dd className="whitespace-pre-line">
                  {k === 'pricesFor' ? PRICES_FOR[settings.data[k] ?? 'owner'] : settings.data[k]}
                </dd>
              </div>
            ))
          : null}
      </dl>
      <p className="text-quiet mt-3">Only an owner can change this.</p>
    </Block>
  )
}

function SettingsForm() {
  const client = useQueryClient()
  const ask = useSession((s) => s.ask)
  const settings = useQuery({ queryKey: ['settings'], queryFn: () => call('settings', {}) })
  // What was typed before they came, or while they are asked for again, stays.
  const { register, handleSubmit, reset, formState, watch, setValue } = useForm<Form>({
    ...(settings.data ? { values: settings.data as Form } : {}),
    resetOptions: { keepDirtyValues: true },
  })
  const { run, why } = useDeed()
  const line = (id: keyof Form, more: Parameters<typeof register<keyof Form>>[1] = {}) => (
    <label className="block">
      <span className="label">{NAMES[id]}</span>
      <input className="cell" {...register(id, more)} />
      <Refused why={formState.errors[id]?.message} />
    </label>
  )
  const area = (id: keyof Form, maxLength: number) => (
    <label className="block">
      <span className="label">{NAMES[id]}</span>
      <textarea className="cell" rows={2} maxLength={maxLength} {...register(id)} />
    </label>
  )
  return (
    <Block title="About the shop">
      <form
        noValidate
        className="grid grid-cols-2 gap-3"
        onSubmit={handleSubmit((body) =>
          run(async () => {
            const kept = await call('setSettings', { body })
            client.setQueryData(['settings'], kept)
            reset(kept as Form)
            await ask()
          }, 'Kept.'),
        )}
      >
        {line('name', {
          required: 'A shop needs a name.',
          maxLength: { value: 120, message: 'At most 120 characters.' },
        })}
        {line('contact', { maxLength: { value: 240, message: 'At most 240 characters.' } })}
        {area('address', 400)}
        {area('closing', 600)}
        {line('signature', { maxLength: { value: 240, message: 'At most 240 characters.' } })}
        {line('publicUrl', {
          pattern: { value: /^$|^https?:\/\/[^\s/]+(\/\S*)?$/, message: 'Like https://records.example' },
        })}
        {line('linkDays', {
          valueAsNumber: true,
          min: { value: 0, message: 'Not below 0.' },
          max: { value: 3650, message: 'At most ten years.' },
          validate: (v) => Number.isInteger(v) || 'A whole number of days.',
        })}
        {line('currency', { pattern: { value: /^[A-Z]{3}$/, message: 'Three capital letters, as EUR.' } })}
        {line('hourRate', { valueAsNumber: true, min: { value: 0, message: 'Not below 0.' }, validate: aNumber })}
        {line('margin', {
          valueAsNumber: true,
          ...{ min: { value: 0, message: 'Not below 0.' }, max: { value: 1000, message: 'At most 1000.' } },
          validate: aNumber,
        })}
        <SelectCell
          title={NAMES.pricesFor}
          label={NAMES.pricesFor}
          value={watch('pricesFor') ?? 'owner'}
          options={Object.keys(PRICES_FOR) as PricesFor[]}
          words={(k) => PRICES_FOR[k]}
          onCommit={(k) => setValue('pricesFor', k, { shouldDirty: true })}
        />
        <div className="col-span-2">
          <Why why={why} />
          <button type="submit" className="btn btn-main" disabled={!formState.isDirty}>
            Save
          </button>
        </div>
      </form>
    </Block>
  )
}
