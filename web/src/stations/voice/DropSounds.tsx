import { FolderInput } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { useDropzone } from 'react-dropzone'
import { FileButton } from '../../kit'

/** Where sounds are dropped: files, folders with all that is in them, archives; the same by two buttons. */
export function DropSounds({ label, onFiles }: { label: string; onFiles: (files: File[]) => void }) {
  const { getRootProps, isDragActive } = useDropzone({ onDrop: onFiles, noClick: true, noKeyboard: true })
  const folder = useRef<HTMLInputElement>(null)
  // No browser's types know it, all browsers do.
  useEffect(() => folder.current?.setAttribute('webkitdirectory', ''), [])
  return (
    <div
      {...getRootProps({ role: 'group', 'aria-label': label })}
      className={`mt-3 border border-dashed px-3 py-2 ${isDragActive ? 'border-brass bg-card' : 'border-rule'}`}
    >
      <p className="text-quiet flex items-center gap-2 text-[0.92rem]">
        <FolderInput size={16} aria-hidden className="shrink-0" />
        {label}
      </p>
      <div className="mt-1 flex gap-2">
        <FileButton label="choose files" accept=".wav,.zip,audio/wav" multiple onFiles={onFiles} />
        <label className="btn">
          choose a folder
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
      </div>
    </div>
  )
}
