interface ProgressProps {
  /** What is being worked out. */
  label: string;
  /** From 0 to 1; null while there is nothing to tell. */
  progress: number | null;
}

/** How far something is: a line along the upper edge of what holds it, which takes no place and moves nothing. */
export function Progress({ label, progress }: ProgressProps) {
  if (progress === null) return null;
  const percent = Math.round(progress * 100);
  return (
    <div
      role="progressbar"
      aria-label={`${label} is being worked out`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={percent}
      className="absolute inset-x-0 -top-2 h-1 bg-line"
    >
      <div className="h-1 bg-ink" style={{ width: `${percent}%` }} />
    </div>
  );
}
