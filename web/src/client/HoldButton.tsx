import { useState } from 'react'

/** A key that is pressed as long as a finger is on it, or space is held. */
export function HoldButton({
  on,
  look,
  onPress,
  onRelease,
  children,
}: {
  on: boolean
  look: string
  onPress: () => void
  onRelease: () => void
  children: string
}) {
  const [key, setKey] = useState(false)
  return (
    <button
      type="button"
      aria-pressed={on}
      className={`touch-none font-semibold select-none ${look}`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        onPress()
      }}
      onPointerUp={onRelease}
      onPointerCancel={onRelease}
      onContextMenu={(e) => e.preventDefault()}
      onKeyDown={(e) => {
        if ((e.key === ' ' || e.key === 'Enter') && !key) {
          e.preventDefault()
          setKey(true)
          onPress()
        }
      }}
      onKeyUp={(e) => {
        if (e.key === ' ' || e.key === 'Enter') {
          setKey(false)
          onRelease()
        }
      }}
      onBlur={() => {
        if (key) onRelease()
        setKey(false)
      }}
    >
      {children}
    </button>
  )
}
