import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { listInHand } from '../../../core/labels/index.ts';
import { startCodeReader, type CodeReader } from '../../../workers/client.ts';
import { Beside } from '../../components/Beside.tsx';
import { Button } from '../../components/Button.tsx';
import { Page } from '../../components/Page.tsx';
import { useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { useHand } from '../../state/hand.ts';
import { wordLineFault } from '../../text/lineFaults.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { AnswerCard } from './AnswerCard.tsx';
import { Camera } from './Camera.tsx';
import { CodeForm } from './CodeForm.tsx';
import { InHand } from './InHand.tsx';
import { useScanner } from './useScanner.ts';
import { useScanning, type Answer } from './useScanning.ts';
import { Where } from './Where.tsx';
import { t } from '../../language/index.ts';
import { isPhone } from '../../components/phone.ts';

/** Scans labels one after the other: a thing comes into the hand, a place takes what is in it. */
export function ScanPage() {
  const household = useHousehold();
  const scanned = useHand((state) => state.ids);
  const hand = useMemo(() => listInHand(household, scanned), [household, scanned]);
  const navigate = useNavigate();
  const [answer, setAnswer] = useState<Answer | null>(null);
  // A phone is held before the label: there the camera is on until it is put off.
  const isCamera = useChoices((state) => state.isCameraOn) ?? isPhone();
  const [isReading, setReading] = useState(false);
  const reader = useRef<CodeReader | null>(null);
  // A worker is started for the first picture only.
  const getReader = useCallback(() => (reader.current ??= startCodeReader()), []);
  useEffect(
    () => () => {
      reader.current?.drop();
      reader.current = null;
    },
    [],
  );

  const { put, scan } = useScanning(setAnswer);
  const scanner = useScanner((code) => void scan(code));

  const readPicture = async (file: File) => {
    setReading(true);
    const read = await getReader().read(file);
    setReading(false);
    if (!read.ok) {
      setAnswer({ kind: 'picture', words: `${file.name}: ${wordLineFault(read.fault)}` });
      return;
    }
    const codes = read.value;
    if (codes === null || codes.length === 0) {
      const words =
        codes === null
          ? t('{file} is no picture that this browser reads.', { file: file.name })
          : t('No code was found on {file}. Nearer, straight on and with more light it is found.', { file: file.name });
      setAnswer({ kind: 'picture', words });
      return;
    }
    for (const code of codes) await scan(code);
  };

  return (
    <Page title={t('Scan')} aside={<TicketPane hint={t('The ticket of what was scanned hangs here.')} />}>
      <div className="min-h-0 flex-1 px-4 py-3 md:overflow-y-auto md:px-8">
        <Button look="quiet" data-key="escape" className="max-md:hidden" onClick={() => void navigate('/bench')}>
          {t('← The bench')}
        </Button>
        <Beside isLast picture={<Where answer={answer} hand={hand} />}>
          <div className="space-y-4">
            {isCamera && <Camera reader={getReader} onCode={(code) => void scan(code)} />}
            <CodeForm
              scanner={scanner}
              isCamera={isCamera}
              isReading={isReading}
              onCode={(code) => void scan(code)}
              onCamera={() => useChoices.setState({ isCameraOn: !isCamera })}
              onPicture={(file) => void readPicture(file)}
            />
            <div aria-live="polite">
              {answer && <AnswerCard answer={answer} onPress={put} onLeave={() => setAnswer(null)} />}
            </div>
            <InHand ids={hand} />
          </div>
        </Beside>
      </div>
    </Page>
  );
}
