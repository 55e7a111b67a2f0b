import type { ProfileFault } from './profile'

const NAME = { outer: 'outside', bore: 'bore' } as const

/** A fault of a profile in words. */
export function profileFaultText(f: ProfileFault): string {
  const point = `${NAME[f.which]} point ${f.point}`
  switch (f.code) {
    case 'tooFew':
      return `the ${NAME[f.which]} profile needs at least two points`
    case 'notPositive':
      return `${point}: a diameter of ${f.got} mm is no size`
    case 'outside':
      return `${point}: ${f.got} mm lies outside the section (0 to ${f.than})`
    case 'order':
      return `${point}: ${f.got} mm lies behind the point before it (${f.than})`
    case 'gap':
      return `the ${NAME[f.which]} profile leaves ${f.got} to ${f.than} mm open`
    case 'boreWider':
      return `at ${f.at} mm the bore (${f.got}) is not narrower than the outside (${f.than})`
  }
}
