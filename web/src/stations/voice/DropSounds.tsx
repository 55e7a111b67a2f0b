import { FolderInput } from 'lucide-react'
import { useDropzone } from 'react-dropzone'
import { FileButton, FolderButton } from '../../kit'

/** Where sounds are dropped: files, folders with all that is in them, archives; the same by two buttons. */
export function DropSounds({ label, onFiles }: { label: string; onFiles: (files: File[]) => void }) {
  const { getRootProps, isDragActive } = useDropzone({ onDrop: onFiles, noClick: true, noKeyboard: true })
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
        <FolderButton label="choose a folder" onFiles={onFiles} />
      </div>
    </div>
  )
}
