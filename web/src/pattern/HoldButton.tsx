/** A pin through a dimension that must stay: it meets hardware, a hole, a customer's part. */
export function HoldButton({
  name,
  held,
  onChange,
}: {
  name: string;
  held: boolean;
  onChange: (held: boolean) => void;
}) {
  return (
    <button
      type="button"
      className="hold"
      aria-pressed={held}
      aria-label={`Hold ${name}`}
      title={held ? 'Held: nothing moves it. Press to let it go.' : 'Hold it, so that nothing moves it'}
      onClick={() => onChange(!held)}
    >
      <svg width="13" height="16" viewBox="0 0 13 16" aria-hidden>
        <circle cx="6.5" cy="4.5" r="3.7" />
        <path d="M6.5 8.2V15.5" />
      </svg>
    </button>
  );
}
