import { Button } from '../../components/Button.tsx';
import { useApp } from '../../state/app.ts';
import { replace } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';

/** Said once to a new visitor: this is a sample to try things in, and how to begin with one's own. */
export function Welcome() {
  const isGreeted = useChoices((state) => state.isGreeted);
  const isSample = useApp((state) => state.events[0]?.type === 'catalogued' && (state.household?.items.size ?? 0) > 0);
  const close = () => useChoices.setState({ isGreeted: true });
  if (isGreeted || !isSample) return null;
  const startEmpty = async () => {
    const { createEmptyHousehold } = await import('../../../sample/made.ts');
    if (
      await replace(createEmptyHousehold(), 'An empty sewing room is ready. The sample can be brought back in House.')
    )
      close();
  };
  return (
    <section
      aria-label="Welcome"
      className="stitched-b no-print flex flex-wrap items-center gap-x-5 gap-y-2 bg-linen px-4 py-2 md:px-5"
    >
      <p className="min-w-60 flex-1">
        This is Heron Loft, a made-up sewing room in a good deal of disorder. Try everything on it; it is yours to
        break.
      </p>
      <Button look="strong" onClick={() => void startEmpty()}>
        Start with my own, empty
      </Button>
      <Button look="quiet" onClick={close}>
        Keep looking round
      </Button>
    </section>
  );
}
