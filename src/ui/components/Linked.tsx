import { Link } from 'react-router';

interface LinkedProps {
  /** A sentence with the ways out of it marked: `Put it away by hand, or <fit>let Fit find one</fit>.` */
  readonly says: string;
  /** Where each of them leads. */
  readonly to: Readonly<Record<string, string>>;
  readonly className?: string;
}

/** One sentence, links and all: another language puts them where they belong in it. */
export function Linked({ says, to, className = 'text-woad underline' }: LinkedProps) {
  return says.split(/(<\w+>[^<]*<\/\w+>)/).map((piece, n) => {
    const [, name = '', words] = /^<(\w+)>([^<]*)<\/\1>$/.exec(piece) ?? [];
    const address = to[name];
    return address === undefined ? (
      piece
    ) : (
      <Link key={n} className={className} to={address}>
        {words}
      </Link>
    );
  });
}
