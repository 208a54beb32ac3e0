import { message, told } from '@yaylak/contract';

/** Kinds of devices that each trust an authority in a way of their own. */
export const DEVICE_KINDS = ['android', 'ios', 'windows', 'mac', 'linux'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];
export const isKind = (value: string | null): value is DeviceKind =>
  value !== null && (DEVICE_KINDS as readonly string[]).includes(value);

/** What a browser says it runs on, the first that fits; a phone that is none of them is asked as an Android one. */
const SAID: readonly (readonly [pattern: RegExp, kind: DeviceKind])[] = [
  [/android/i, 'android'],
  [/iphone|ipad|ipod/i, 'ios'],
  [/windows/i, 'windows'],
  [/mac os x|macintosh/i, 'mac'],
  [/linux|cros/i, 'linux'],
];
export const kindOf = (agent = ''): DeviceKind => SAID.find(([pattern]) => pattern.test(agent))?.[1] ?? 'android';

export const KIND_NAMES: Readonly<Record<DeviceKind, string>> = told({
  android: 'Android phone or tablet',
  ios: 'iPhone or iPad',
  windows: 'Windows',
  mac: 'Mac',
  linux: 'Linux',
});

/** How each is told to trust the certificate that was fetched, a step a sentence. */
export const KIND_STEPS: Readonly<Record<DeviceKind, readonly string[]>> = {
  android: [
    message('Open Settings and search there for “CA certificate” (it is under Security, Encryption & credentials).'),
    message(
      'Choose “Install a certificate”, then “CA certificate”, then “Install anyway”, and pick yaylak-authority.crt among the downloads.',
    ),
    message('Use Chrome or another browser that follows the system’s certificates.'),
  ],
  ios: [
    message(
      'When asked whether to download a profile, allow it. Open Settings, choose “Profile Downloaded” and install it.',
    ),
    message('In Settings go to General, About, Certificate Trust Settings, and switch on “Yaylak on …”.'),
    message('Use Safari for the next step.'),
  ],
  windows: [
    message('Open the downloaded file, choose “Install Certificate”, then “Current User”.'),
    message(
      'Choose “Place all certificates in the following store”, then “Trusted Root Certification Authorities”, and finish.',
    ),
  ],
  mac: [
    message('Open the downloaded file: Keychain Access takes it in, under “login”.'),
    message('Open “Yaylak on …” there by a double click, and under Trust choose “Always Trust”.'),
  ],
  linux: [
    message('In the browser’s settings search for “certificates”, open Authorities, and choose Import.'),
    message('Pick the downloaded file and tick “Trust this certificate for identifying websites”.'),
  ],
};
