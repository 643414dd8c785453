/** Made from the service's description by npm run client. */

export interface paths {
  '/api/editions': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    /** The shops and their editions */
    get: operations['listEditions'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/editions/{shop}/quotes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    /**
     * What getting an order there costs
     * @description One order, or up to 1,000 as NDJSON, one a line: each is answered in a line of its own as soon as it is there. Carriers are asked, unless their answers are handed in.
     */
    post: operations['quote'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/editions/{shop}/slots': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    /** The times an order can choose from */
    post: operations['slots'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/editions/{shop}/problems': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    /** What is wrong with an edition */
    get: operations['problems'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/editions/{shop}/{number}': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        /**
         * @description The shop, as its files are named.
         * @example demo
         */
        shop: string;
        /** @description The number of the edition. */
        number: number;
      };
      cookie?: never;
    };
    get?: never;
    /**
     * Put an edition into service
     * @description Needs a key for writing. The file is read whole and tried against its own test orders first.
     */
    put: operations['putEdition'];
    post?: never;
    /**
     * Go back: take an edition out of service
     * @description Needs a key for writing. The edition before it is live again.
     */
    delete: operations['takeBackEdition'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/places/{country}/{code}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    /** Where a postal code lies */
    get: operations['place'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
}
export type webhooks = Record<string, never>;
export interface components {
  schemas: {
    Size: {
      length: number;
      width: number;
      height: number;
    };
    Point: {
      lat: number;
      lng: number;
    };
    CarrierAnswer:
      | {
          key: string;
          /** @constant */
          ok: true;
          services: {
            code: string;
            name: string;
            amount: number;
            days?: {
              min: number;
              max: number;
            };
          }[];
        }
      | {
          key: string;
          /** @constant */
          ok: false;
          /** @enum {string} */
          error: 'unreachable' | 'timed-out' | 'refused' | 'malformed';
          text: string;
        };
    Source: {
      /** @enum {string} */
      kind:
        | 'rate'
        | 'service'
        | 'zone'
        | 'group'
        | 'good'
        | 'store'
        | 'adjustment'
        | 'area'
        | 'pickup'
        | 'carrier'
        | 'table'
        | 'postal'
        | 'duty';
      id: string;
    };
    Destination: {
      country: string;
      subdivision?: string;
      postalCode?: string;
      city?: string;
      lines?: string[];
      point?: components['schemas']['Point'];
      residential?: boolean;
    };
    Line: {
      sku: string;
      name?: string;
      price?: number;
      /** @enum {string} */
      fulfilment?: 'physical' | 'digital';
      weight?: number;
      size?: components['schemas']['Size'];
      groupIds?: string[];
      chargeFree?: boolean;
      shippingPrice?: number;
      onceFee?: number;
      packsAlone?: boolean;
      keepUpright?: boolean;
      hsCode?: string;
      madeIn?: string;
      quantity: number;
    };
    Order: {
      destination: components['schemas']['Destination'] | null;
      lines: components['schemas']['Line'][];
      placedAt: string;
      discount?: number;
      customer?: string;
      code?: string;
      channel?: string;
      slotsTaken?: {
        id: string;
        start: string;
        count: number;
      }[];
      answers?: components['schemas']['CarrierAnswer'][];
    };
    Choice: {
      id: string;
      /** @enum {string} */
      kind: 'shipping' | 'delivery' | 'pickup' | 'nothing-to-ship';
      of: {
        rateId?: string;
        serviceCode?: string;
        areaId?: string;
        methodId?: string;
        pickupId?: string;
        /** @enum {string} */
        terms?: 'DAP' | 'DDP';
      };
      name: string;
      note?: string;
      charge: number;
      tax: number;
      taxIncluded: boolean;
      duties?: {
        /** @enum {string} */
        terms: 'DAP' | 'DDP';
        /** @enum {string} */
        show: 'amount' | 'mention' | 'nothing';
        duty: number;
        importTax: number;
        clearance: number;
      };
      total: number;
      cost?: number;
      ready?: string;
      arrives?:
        | {
            /** Format: date */
            earliest: string;
            /** Format: date */
            latest: string;
          }
        | {
            words: string;
          };
      slots?: {
        start: string;
        end: string;
        left?: number;
      }[];
      payments: string[];
      hint?: {
        /** @constant */
        kind: 'free-from';
        short: number;
      };
      working: components['schemas']['WorkingLine'][];
    };
    Withheld: {
      id: string;
      /** @enum {string} */
      kind: 'shipping' | 'delivery' | 'pickup' | 'nothing-to-ship';
      name: string;
      /** @enum {string} */
      code:
        | 'store-paused'
        | 'not-sold-there'
        | 'postal-not-served'
        | 'no-zone'
        | 'no-rate'
        | 'rate-off'
        | 'channel'
        | 'goods-not-allowed'
        | 'below-limit'
        | 'above-limit'
        | 'below-first-step'
        | 'above-last-step'
        | 'no-table-row'
        | 'weight-unknown'
        | 'size-unknown'
        | 'does-not-pack'
        | 'distance-unknown'
        | 'price-unknown'
        | 'duty-unknown'
        | 'carrier-error'
        | 'carrier-none'
        | 'outside-area'
        | 'below-minimum'
        | 'too-far'
        | 'no-time-left'
        | 'adjustment'
        | 'address-needed';
      detail: {
        [key: string]: unknown;
      };
      text: string;
      say?: {
        code: string;
      } & {
        [key: string]: unknown;
      };
      tell: boolean;
      message?: string;
      from: components['schemas']['Source'];
    };
    WorkingLine: {
      /** @enum {string} */
      step:
        | 'price'
        | 'method'
        | 'goods-fee'
        | 'handling'
        | 'store-handling'
        | 'adjustment'
        | 'free-from'
        | 'rounding'
        | 'bounds'
        | 'service-fee'
        | 'not-below-zero';
      text: string;
      say?: {
        code: string;
      } & {
        [key: string]: unknown;
      };
      change: number;
      running: number;
      from: components['schemas']['Source'];
    };
    Parcel: {
      boxId?: string;
      weight: number;
      size?: components['schemas']['Size'];
      contents: {
        sku: string;
        quantity: number;
      }[];
      placed?: {
        sku: string;
        x: number;
        y: number;
        z: number;
        size: components['schemas']['Size'];
      }[];
      fill?: number;
    };
    Notice: {
      /** @enum {string} */
      code: 'fallback-used' | 'weight-assumed' | 'sandbox-rates' | 'prices-exclude-duty';
      text: string;
      say?: {
        code: string;
      } & {
        [key: string]: unknown;
      };
    };
    QuoteAnswer: {
      currency: string;
      subtotal: number;
      goodsTax: number;
      zone: {
        id: string;
        name: string;
        because: string;
      } | null;
      parcels: components['schemas']['Parcel'][];
      choices: components['schemas']['Choice'][];
      withheld: components['schemas']['Withheld'][];
      notices: components['schemas']['Notice'][];
      edition: {
        number: number;
        digest: string;
      };
      /** @enum {string} */
      language: 'en' | 'fr';
      destination: components['schemas']['Destination'] | null;
      codeLiesIn?: string;
      reasons: {
        [key: string]: {
          why: string;
          help: string;
        };
      };
    };
    SlotsAnswer: {
      edition: {
        number: number;
        digest: string;
      };
      /** @enum {string} */
      language: 'en' | 'fr';
      choices: {
        id: string;
        /** @enum {string} */
        kind: 'shipping' | 'delivery' | 'pickup' | 'nothing-to-ship';
        name: string;
        slots: {
          start: string;
          end: string;
          left?: number;
        }[];
      }[];
    };
    EditionList: {
      shops: {
        shop: string;
        live: number;
        editions: {
          number: number;
          digest: string;
          languages: ('en' | 'fr')[];
          publishedAt: string;
          note: string;
        }[];
      }[];
      refused: {
        file: string;
        reasons: string[];
      }[];
    };
    EditionFile: {
      /** @constant */
      format: 'emporos-edition';
      /** @constant */
      version: 1;
      digest: string;
      edition: {
        number: number;
        publishedAt: string;
        note: string;
      } & {
        [key: string]: unknown;
      };
      testOrders: ({
        name: string;
      } & {
        [key: string]: unknown;
      })[];
    };
    EditionPut: {
      shop: string;
      number: number;
      digest: string;
    };
    WentBack: {
      shop: string;
      live: number;
    };
    EditionProblems: {
      /** Format: date */
      on: string;
      problems: {
        code: string;
        /** @enum {string} */
        gravity: 'stops' | 'leaks' | 'odd' | 'data';
        text: string;
        where: {
          kind: string;
          id: string;
        }[];
        example?: components['schemas']['Order'];
        reach?: string;
        goods?: string[];
        places?: string[];
        /** @constant */
        isVast?: true;
      }[];
    };
    Place: {
      code: string;
      name: string;
      point: components['schemas']['Point'];
    };
    Problem: {
      type: string;
      title: string;
      status: number;
      detail: string;
      /** @enum {string} */
      code:
        | 'not-json'
        | 'not-said-to-be-json'
        | 'invalid'
        | 'unreadable'
        | 'forbidden'
        | 'not-as-expected'
        | 'no-such-range'
        | 'broken-off'
        | 'character-set'
        | 'compression'
        | 'too-large'
        | 'too-often'
        | 'not-found'
        | 'unknown-host'
        | 'key-needed'
        | 'not-writable'
        | 'unknown-shop'
        | 'unknown-edition'
        | 'edition-refused'
        | 'edition-there'
        | 'last-edition'
        | 'too-many-lines'
        | 'unknown-carrier'
        | 'unknown-shipment'
        | 'carrier-refusing'
        | 'not-booked'
        | 'not-cancelled'
        | 'not-ready'
        | 'place-not-written'
        | 'unknown-place'
        | 'failed';
    };
  };
  responses: never;
  parameters: never;
  requestBodies: never;
  headers: never;
  pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
  listEditions: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Each shop with its editions, and the files that are refused. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['EditionList'];
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
  quote: {
    parameters: {
      query?: {
        /** @description An edition by its number; the live one if left out. */
        edition?: number;
      };
      header?: {
        /** @description The customer’s language, out of those the shop offers. */
        'Accept-Language'?: string;
      };
      path: {
        /**
         * @description The shop, as its files are named.
         * @example demo
         */
        shop: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        /**
         * @example {
         *       "destination": {
         *         "country": "CA",
         *         "postalCode": "B2G 2L2"
         *       },
         *       "lines": [
         *         {
         *           "sku": "pot-26",
         *           "quantity": 2
         *         }
         *       ],
         *       "placedAt": "2026-11-24T10:15:00-04:00"
         *     }
         */
        'application/json': components['schemas']['Order'];
        'application/x-ndjson': string;
      };
    };
    responses: {
      /** @description The quote: what is offered, how each charge adds up, and what is not offered and why. */
      200: {
        headers: {
          /** @description The number of the edition. */
          'Emporos-Edition'?: string;
          /** @description The digest of the edition. */
          'Emporos-Digest'?: string;
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['QuoteAnswer'];
          'application/x-ndjson': string;
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
  slots: {
    parameters: {
      query?: {
        /** @description An edition by its number; the live one if left out. */
        edition?: number;
      };
      header?: {
        /** @description The customer’s language, out of those the shop offers. */
        'Accept-Language'?: string;
      };
      path: {
        /**
         * @description The shop, as its files are named.
         * @example demo
         */
        shop: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        /**
         * @example {
         *       "destination": {
         *         "country": "CA",
         *         "postalCode": "B2G 2L2"
         *       },
         *       "lines": [
         *         {
         *           "sku": "pot-26",
         *           "quantity": 2
         *         }
         *       ],
         *       "placedAt": "2026-11-24T10:15:00-04:00"
         *     }
         */
        'application/json': components['schemas']['Order'];
      };
    };
    responses: {
      /** @description Times of delivery and collection, with how many are left of each. */
      200: {
        headers: {
          /** @description The number of the edition. */
          'Emporos-Edition'?: string;
          /** @description The digest of the edition. */
          'Emporos-Digest'?: string;
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SlotsAnswer'];
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
  problems: {
    parameters: {
      query?: {
        /** @description An edition by its number; the live one if left out. */
        edition?: number;
      };
      header?: never;
      path: {
        /**
         * @description The shop, as its files are named.
         * @example demo
         */
        shop: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Its problems, judged from today on. */
      200: {
        headers: {
          /** @description The number of the edition. */
          'Emporos-Edition'?: string;
          /** @description The digest of the edition. */
          'Emporos-Digest'?: string;
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['EditionProblems'];
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
  putEdition: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        /**
         * @description The shop, as its files are named.
         * @example demo
         */
        shop: string;
        /** @description The number of the edition. */
        number: number;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['EditionFile'];
      };
    };
    responses: {
      /** @description It was there already. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['EditionPut'];
        };
      };
      /** @description It is served. */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['EditionPut'];
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
  takeBackEdition: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        /**
         * @description The shop, as its files are named.
         * @example demo
         */
        shop: string;
        /** @description The number of the edition. */
        number: number;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The edition that is live now. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['WentBack'];
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
  place: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        /** @description Two letters, such as CA. */
        country: string;
        /** @description A postal code, such as B3H2Y9. */
        code: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The part of the code that is known, and its point. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Place'];
        };
      };
      /** @description Refused, with a code that callers may rely on (RFC 9457). */
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['Problem'];
        };
      };
    };
  };
}
