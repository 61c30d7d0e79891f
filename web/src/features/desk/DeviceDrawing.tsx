/** A plain outline of a device; unknown looks give a plain box. */
export function DeviceDrawing({ looks }: { looks: string }) {
  return (
    <svg
      width="32"
      height="60"
      viewBox="0 0 32 60"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
    >
      {looks === 'phone' ? (
        <>
          <rect x="3" y="2" width="24" height="56" rx="5" fill="#fff" />
          <path d="M8 9h14v38H8z" strokeWidth="1" />
          <path d="M29 14v8M29 28v5M29 36v5" strokeWidth="3" />
        </>
      ) : (
        <rect x="3" y="14" width="26" height="32" rx="5" fill="#fff" />
      )}
    </svg>
  )
}
