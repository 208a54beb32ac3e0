import { parseDate, parseDateTime, parseTime, type DateValue } from '@internationalized/date';
import type { DateOrder } from '@yaylak/core';
import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import {
  useImperativeHandle,
  useRef,
  useState,
  type CSSProperties,
  type KeyboardEvent,
  type ReactNode,
  type Ref,
} from 'react';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  DateInput,
  DatePicker,
  DateSegment,
  Dialog,
  FieldError,
  Group,
  Heading,
  I18nProvider,
  Label,
  Popover,
  Text,
  TimeField,
} from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touch, touchable } from '../theme/tokens';
import { useDateOrder, useWeekStart } from '../words/useHolding';
import { CALENDAR_STARTS } from '../words/week';
import { fieldFrame } from './fieldFrame';
import { spokenLocale, say } from '@yaylak/contract';

/** What a field of a day, of a moment or of an hour holds: `2026-11-29`, `2026-11-29T07:30`, `07:30`; empty is none. */
export const DATE_TYPES = ['date', 'datetime-local', 'time'] as const;
export type DateType = (typeof DATE_TYPES)[number];

interface Props {
  readonly type: DateType;
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onBlur?: (() => void) | undefined;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly isLabelHidden?: boolean;
  readonly autoFocus?: boolean | undefined;
  readonly isDisabled?: boolean | undefined;
  readonly style?: CSSProperties | undefined;
  /** Takes the focus when the form wants it here. */
  readonly inputRef?: Ref<HTMLInputElement> | undefined;
}

/** Locales that write a day in the holding's order; the words in them are English, but for a language's own order. */
const LOCALES: Readonly<Record<DateOrder, string>> = {
  'day-month': spokenLocale(),
  'month-day': 'en-US',
  'year-month': 'en-CA',
};

/** A day typed part by part in the holding's order, with a calendar beside it; with the hour where hours count. */
export function DateField(props: Props) {
  const order = useDateOrder();
  return (
    <I18nProvider locale={LOCALES[order]}>
      {props.type === 'time' ? <Hour {...props} /> : <Day {...props} />}
    </I18nProvider>
  );
}

/** What both have in common: the label, what is typed, what is wrong. */
function useParts({ label, isLabelHidden = false, hint, error, inputRef }: Props) {
  const typed = useRef<HTMLDivElement>(null);
  useImperativeHandle(inputRef, () => ({
    focus: () => typed.current?.querySelector<HTMLElement>('[role=spinbutton]')?.focus(),
  }) as HTMLInputElement); // prettier-ignore
  /** As in any other field Enter sends the form. */
  const onKeyDown = (e: KeyboardEvent<HTMLDivElement>): void => {
    if (e.key !== 'Enter' || !(e.target as HTMLElement).matches('[role=spinbutton]')) return;
    e.preventDefault();
    e.currentTarget.closest('form')?.requestSubmit();
  };
  return {
    name: isLabelHidden ? null : <Label>{label}</Label>,
    named: isLabelHidden ? { 'aria-label': label } : {},
    input: (
      <Typed role="presentation" onKeyDownCapture={onKeyDown}>
        <DateInput ref={typed}>{(segment) => <DateSegment segment={segment} />}</DateInput>
      </Typed>
    ),
    under: (
      <>
        {hint ? <Text slot="description">{hint}</Text> : null}
        <FieldError>{error === undefined ? null : <span role="alert">{error}</span>}</FieldError>
      </>
    ),
  };
}

function Day(props: Props) {
  const { type, value, onChange, onBlur, error, autoFocus, isDisabled, style } = props;
  const { name, named, input, under } = useParts(props);
  const hasHour = type === 'datetime-local';
  // Of a year half typed the form hears nothing, and the field goes on showing it.
  const weekStart = useWeekStart();
  const [halfTyped, setHalfTyped] = useState<DateValue | null>(null);
  const known = readAs<DateValue>(hasHour ? parseDateTime : parseDate, value);
  return (
    <Picker
      {...named}
      value={known ?? halfTyped}
      granularity={hasHour ? 'minute' : 'day'}
      hourCycle={24}
      shouldForceLeadingZeros
      isInvalid={error !== undefined}
      onChange={(day: DateValue | null) => {
        setHalfTyped(isHalfTyped(day) ? day : null);
        onChange(isHalfTyped(day) ? '' : (day?.toString().slice(0, hasHour ? 16 : 10) ?? ''));
      }}
      {...(onBlur ? { onBlur: () => onBlur() } : {})}
      {...(autoFocus ? { autoFocus } : {})}
      {...(isDisabled ? { isDisabled } : {})}
      {...(style ? { style } : {})}
    >
      {name}
      <Box>
        {input}
        <Button aria-label={say('Calendar for {label}', { label: props.label })}>
          <CalendarDays size={20} aria-hidden />
        </Button>
      </Box>
      {under}
      <Pane>
        <Dialog>
          <Month firstDayOfWeek={CALENDAR_STARTS[weekStart]}>
            <header>
              <Button slot="previous">
                <ChevronLeft size={20} aria-hidden />
              </Button>
              <Heading />
              <Button slot="next">
                <ChevronRight size={20} aria-hidden />
              </Button>
            </header>
            <CalendarGrid>{(date) => <CalendarCell date={date} />}</CalendarGrid>
          </Month>
        </Dialog>
      </Pane>
    </Picker>
  );
}

function Hour(props: Props) {
  const { value, onChange, onBlur, error, autoFocus, isDisabled, style } = props;
  const { name, named, input, under } = useParts(props);
  return (
    <HourField
      {...named}
      value={readAs(parseTime, value)}
      hourCycle={24}
      shouldForceLeadingZeros
      isInvalid={error !== undefined}
      onChange={(hour) => onChange(hour === null ? '' : hour.toString().slice(0, 5))}
      {...(onBlur ? { onBlur: () => onBlur() } : {})}
      {...(autoFocus ? { autoFocus } : {})}
      {...(isDisabled ? { isDisabled } : {})}
      {...(style ? { style } : {})}
    >
      {name}
      <Box>{input}</Box>
      {under}
    </HourField>
  );
}

/** A value as the field has it; one that cannot be read is none. */
function readAs<T>(read: (text: string) => T, value: string): T | null {
  try {
    return value === '' ? null : read(value);
  } catch {
    return null;
  }
}

/** A year that is still being typed is no year yet. */
const FIRST_YEAR = 1000;

const isHalfTyped = (day: DateValue | null): boolean => day !== null && day.year < FIRST_YEAR;

const Typed = styled.div`
  flex: 1;
  display: flex;
`;
const Picker = styled(DatePicker)`
  ${fieldFrame}
`;
const HourField = styled(TimeField)`
  ${fieldFrame}
`;
const Box = styled(Group)`
  display: flex;
  align-items: stretch;
  min-height: ${touch};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('panel')};
  color: ${colour('ink')};
  &[data-focus-within] {
    outline: 2px solid ${colour('indigo')};
    outline-offset: 1px;
  }
  &[data-invalid] {
    border-color: ${colour('madder')};
  }
  .react-aria-DateInput {
    flex: 1;
    display: flex;
    align-items: center;
    padding-left: ${space(3)};
    padding-right: ${space(2)};
    white-space: nowrap;
  }
  .react-aria-DateSegment {
    padding: 4px 2px;
    border-radius: 4px;
    outline: none;
    font-variant-numeric: tabular-nums;
    &[data-placeholder] {
      color: ${colour('inkSoft')};
    }
    &[data-type='literal'] {
      padding: 0;
      white-space: pre;
    }
    &[data-focused] {
      background: ${colour('indigo')};
      color: ${colour('onIndigo')};
    }
  }
  button {
    ${touchable}
    display: grid;
    place-items: center;
    min-width: ${touch};
    border: 0;
    border-left: 1px solid ${colour('line')};
    background: none;
    color: ${colour('indigo')};
    cursor: pointer;
  }
`;
const Pane = styled(Popover)`
  background: ${colour('panel')};
  color: ${colour('ink')};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  padding: ${space(3)};
`;
const Month = styled(Calendar)`
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    h2 {
      font-size: 16px;
    }
  }
  button {
    display: grid;
    place-items: center;
    width: ${touch};
    height: ${touch};
    border: 0;
    border-radius: ${radius};
    background: none;
    color: ${colour('indigo')};
    cursor: pointer;
  }
  th {
    font-size: 13px;
    font-weight: 400;
    color: ${colour('inkSoft')};
  }
  td {
    padding: 0;
  }
  .react-aria-CalendarCell {
    display: grid;
    place-items: center;
    width: ${touch};
    height: ${touch};
    border-radius: ${radius};
    cursor: pointer;
    font-variant-numeric: tabular-nums;
    &[data-outside-month] {
      display: none;
    }
    &[data-hovered] {
      background: ${colour('indigoWash')};
    }
    &[data-selected] {
      background: ${colour('indigo')};
      color: ${colour('onIndigo')};
    }
    &[data-today] {
      font-weight: 700;
      box-shadow: inset 0 0 0 2px ${colour('lineStrong')};
    }
  }
`;
