/** The mark of Serrata: teeth of a saw. */
export const Mark = () => (
  <svg viewBox="0 0 34 20" width="34" height="20" aria-hidden="true" className="text-pine">
    <path d="M0 18 V12 L5 5 V12 L10 5 V12 L15 5 V12 L20 5 V12 L25 5 V12 L30 5 L34 5 V18 Z" fill="currentColor" />
  </svg>
);
