import { X } from 'lucide-react'
import { useEffect, useRef } from 'react'

export function RemoveButton({ what, onClick }: { what: string; onClick: () => void }) {
  return (
    <button
      type="button"
      className="text-quiet hover:text-stop grid h-7 w-7 shrink-0 place-items-center"
      aria-label={`Remove ${what}`}
      title={`Remove ${what}`}
      onClick={onClick}
    >
      <X size={15} />
    </button>
  )
}

/** A button that takes files; the same file may be given twice. */
export function FileButton({
  label,
  accept,
  multiple = false,
  disabled = false,
  className = 'btn',
  onFiles,
}: {
  label: string
  accept: string
  multiple?: boolean
  disabled?: boolean
  className?: string
  onFiles: (files: File[]) => void
}) {
  return (
    <label className={className}>
      {label}
      <input
        type="file"
        className="sr-only"
        accept={accept}
        multiple={multiple}
        disabled={disabled}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])]
          e.target.value = ''
          if (files.length) onFiles(files)
        }}
      />
    </label>
  )
}

/** A button that takes a folder with all that is in it; the same one may be given twice. */
export function FolderButton({ label, onFiles }: { label: string; onFiles: (files: File[]) => void }) {
  const folder = useRef<HTMLInputElement>(null)
  // No browser's types know it, all browsers do.
  useEffect(() => folder.current?.setAttribute('webkitdirectory', ''), [])
  return (
    <label className="btn">
      {label}
      <input
        ref={folder}
        type="file"
        className="sr-only"
        multiple
        onChange={(e) => {
          const files = [...(e.target.files ?? [])]
          e.target.value = ''
          if (files.length) onFiles(files)
        }}
      />
    </label>
  )
}
