import type { Api, GoodOf } from '@nubrin/core/api'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useForm } from 'react-hook-form'
import { call } from '../data'
import { Refused } from '../kit'
import { useSession } from '../store/session'
import { Block, useDeed, Why } from './parts'

type Form = GoodOf<Api['settings']>

/** What the shop says of itself, on paper and on clients' pages. */
export function Settings({ mayChange }: { mayChange: boolean }) {
  const client = useQueryClient()
  const ask = useSession((s) => s.ask)
  const settings = useQuery({ queryKey: ['settings'], queryFn: () => call('settings', {}) })
  const { register, handleSubmit, reset, formState } = useForm<Form>()
  const { run, why } = useDeed()
  useEffect(() => {
    if (settings.data) reset(settings.data)
  }, [settings.data, reset])
  const line = (id: keyof Form, label: string, more: Parameters<typeof register<keyof Form>>[1] = {}) => (
    <label className="block">
      <span className="label">{label}</span>
      <input className="cell" disabled={!mayChange} {...register(id, more)} />
      <Refused why={formState.errors[id]?.message} />
    </label>
  )
  const area = (id: keyof Form, label: string, maxLength: number) => (
    <label className="block">
      <span className="label">{label}</span>
      <textarea className="cell" rows={2} maxLength={maxLength} disabled={!mayChange} {...register(id)} />
    </label>
  )
  return (
    <Block title="What the shop says of itself">
      <form
        noValidate
        className="grid grid-cols-2 gap-3"
        onSubmit={handleSubmit((body) =>
          run(async () => {
            client.setQueryData(['settings'], await call('setSettings', { body }))
            await ask()
          }, 'Kept.'),
        )}
      >
        {line('name', 'Name', {
          required: 'A shop needs a name.',
          maxLength: { value: 120, message: 'At most 120 characters.' },
        })}
        {line('contact', 'How it is reached', { maxLength: { value: 240, message: 'At most 240 characters.' } })}
        {area('address', 'Address', 400)}
        {area('closing', 'Last words of a handoff', 600)}
        {line('signature', 'Signature line', { maxLength: { value: 240, message: 'At most 240 characters.' } })}
        {line('publicUrl', 'Address clients reach it under, for links', {
          pattern: { value: /^$|^https?:\/\/[^\s/]+(\/\S*)?$/, message: 'Like https://records.example' },
        })}
        {line('linkDays', 'Days a client’s link lasts (0: always)', {
          valueAsNumber: true,
          min: { value: 0, message: 'Not below 0.' },
          max: { value: 3650, message: 'At most ten years.' },
          validate: (v) => Number.isInteger(v) || 'A whole number of days.',
        })}
        <div className="col-span-2">
          <Why why={why} />
          {mayChange ? (
            <button type="submit" className="btn btn-main" disabled={!formState.isDirty}>
              Keep it
            </button>
          ) : (
            <p className="text-quiet">Only an owner changes this.</p>
          )}
        </div>
      </form>
    </Block>
  )
}
