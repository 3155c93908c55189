/** What the stitches on a wall mean. */
export function Legend() {
  return (
    <ul aria-label="What the lines mean" className="ml-auto hidden gap-4 text-sm text-stone xl:flex">
      <li className="flex items-center gap-1.5">
        <svg aria-hidden width="30" height="12">
          <rect x="1" y="1" width="28" height="10" fill="none" stroke="#22303c" strokeWidth="2.5" />
        </svg>
        chosen
      </li>
      <li className="flex items-center gap-1.5">
        <svg aria-hidden width="30" height="12">
          <path d="M1 9l4-6 4 6 4-6 4 6 4-6 4 6 4-6" fill="none" stroke="#a63d32" strokeWidth="2" />
        </svg>
        over full
      </li>
    </ul>
  );
}
