import { degreesAndMinutes, encodeSentence } from '@grey-keel/core';
import type { LiveQuantity, Recording } from '@grey-keel/model';
import type { Recordings } from './recordings.ts';

const knot = 1852 / 3600;

/** A speed in the two units in which sentences have it, each with its letter. */
const bothSpeeds = (mps: number): string[] => [(mps / knot).toFixed(3), 'N', (mps * 3.6).toFixed(3), 'K'];

/** A value as a sentence of the kind that says just it, by the talker it came from; null for what needs another beside it. */
const sentenceOf = (talker: string, quantity: LiveQuantity, value: number): string | null => {
  switch (quantity) {
    case 'depthM':
      return encodeSentence(talker, 'DPT', [value.toFixed(2), '']);
    case 'temperatureC':
      return encodeSentence(talker, 'MTW', [value.toFixed(2), 'C']);
    case 'logMps':
      return encodeSentence(talker, 'VHW', ['', 'T', '', 'M', ...bothSpeeds(value)]);
    case 'headingMagneticDeg':
      return encodeSentence(talker, 'HDM', [value.toFixed(2), 'M']);
    case 'headingTrueDeg':
      return encodeSentence(talker, 'HDT', [value.toFixed(2), 'T']);
    case 'cogDeg':
      return encodeSentence(talker, 'VTG', [value.toFixed(2), 'T', '', 'M', '', 'N', '', 'K']);
    case 'sogMps':
      return encodeSentence(talker, 'VTG', ['', 'T', '', 'M', ...bothSpeeds(value)]);
    case 'voltageV':
      return encodeSentence(talker, 'XDR', ['U', value.toFixed(2), 'V', 'voltage']);
    default:
      return null;
  }
};

interface Row {
  readonly timeS: number;
  readonly channel: Recording['channels'][number];
  readonly value: number;
}

/** So long a part of a recording is exported at a time. */
const partS = 600;

async function* rowsOf(recordings: Recordings, recording: Recording): AsyncGenerator<Row[]> {
  for (let fromS = 0; fromS <= recording.lastedS; fromS += partS) {
    const rows: Row[] = [];
    for (const channel of recording.channels) {
      const { timesS, values } = await recordings.samples(recording.id, channel.id, fromS, fromS + partS);
      timesS.forEach((timeS, i) => {
        // The last moment of a part is the next one's first.
        if (timeS < fromS + partS) rows.push({ timeS, channel, value: values[i] ?? 0 });
      });
    }
    yield rows.sort((a, b) => a.timeS - b.timeS || a.channel.id - b.channel.id);
  }
}

const timeAt = ({ startedAt }: Recording, timeS: number): string =>
  new Date((startedAt === null ? 0 : Date.parse(startedAt)) + timeS * 1000).toISOString();

/** Every value as a line of its own: time, talker, sentence, what it measures, and the figure. */
export async function* asCsv(recordings: Recordings, recording: Recording): AsyncGenerator<string> {
  yield 'time,seconds,talker,sentence,quantity,value\r\n';
  for await (const rows of rowsOf(recordings, recording))
    yield rows
      .map(
        ({ timeS, channel: { talker, type, quantity }, value }) =>
          `${timeAt(recording, timeS)},${timeS.toFixed(3)},${talker},${type},${quantity},${value}\r\n`,
      )
      .join('');
}

/** Sentences with the time in front of each, which this program reads again. */
export async function* asNmea(recordings: Recordings, recording: Recording): AsyncGenerator<string> {
  if (recording.simulated) yield `${timeAt(recording, 0)} ${encodeSentence('PG', 'SIM', [1])}\r\n`;
  for await (const rows of rowsOf(recordings, recording)) {
    let latitude: Row | null = null;
    let text = '';
    for (const row of rows) {
      const { quantity, talker } = row.channel;
      if (quantity === 'latitudeDeg') latitude = row;
      const sentence =
        quantity === 'longitudeDeg' && latitude !== null
          ? encodeSentence(talker, 'GLL', [
              ...degreesAndMinutes(latitude.value, 'NS'),
              ...degreesAndMinutes(row.value, 'EW'),
              '',
              'A',
            ])
          : sentenceOf(talker, quantity, row.value);
      if (sentence !== null) text += `${timeAt(recording, row.timeS)} ${sentence}\r\n`;
    }
    yield text;
  }
}

const escaped = (text: string): string => text.replace(/[<>&"']/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** The track alone, as GPX 1.1. */
export async function* asGpx(recordings: Recordings, recording: Recording): AsyncGenerator<string> {
  yield `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Grey Keel" xmlns="http://www.topografix.com/GPX/1/1">\n<trk><name>${escaped(recording.name)}</name><trkseg>\n`;
  for await (const rows of rowsOf(recordings, recording)) {
    let latitude: Row | null = null;
    let text = '';
    for (const row of rows) {
      if (row.channel.quantity === 'latitudeDeg') latitude = row;
      if (row.channel.quantity !== 'longitudeDeg' || latitude === null) continue;
      text += `<trkpt lat="${latitude.value.toFixed(7)}" lon="${row.value.toFixed(7)}"><time>${timeAt(recording, row.timeS)}</time></trkpt>\n`;
    }
    yield text;
  }
  yield '</trkseg></trk>\n</gpx>\n';
}
