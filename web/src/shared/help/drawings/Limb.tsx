/** A leg of a drawing: an outline, and the wash within it. */
export const Limb = ({ d }: { readonly d: string }) => (
  <g>
    <path className="limb" d={d} />
    <path className="limb" d={d} />
  </g>
);
