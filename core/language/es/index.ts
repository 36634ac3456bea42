import type { PatternRules } from '../pattern/rules';
import { anyOf } from '../phrases';

/** Verbs in the form of an order, as they stand inside a sentence. */
const ORDERS = anyOf`
  compruebe | asegúrese | revise | verifique | instale | ejecute | use | utilice | escriba | seleccione | elija
  haga | ponga | introduzca | pulse | siga | edite | añada | agregue | configure | cree | copie | guarde | abra
  cierre | espere | evite | recuerde | mantenga | limpie | lave | apague | encienda | desconecte | conecte
  retire | coloque | llame | avise | informe | pregunte | pida | entregue | anote | registre | firme | envíe
  reciba | cuente | mida | pese | corte | tome | lleve | deje | quite | cambie | reinicie | actualice | descargue
  elimine | borre | busque | active | desactive | monte | desmonte | inicie | detenga | pare | piense | tenga
  considere | sustituya | reemplace | identifique | prepare | presione | confirme | acepte | rechace | comunique
  notifique | devuelva | traiga | marque | mueva | arranque | salga | entre | suba | baje | tire | empuje | golpee
  vuelva | vaya | lea | responda | conteste | hable | escuche | explique | muestre | ofrezca | proponga | acompañe
  salude | cobre | pague | rellene | complete | vacíe | llene | cargue | descargue | ordene | separe | gire
  sujete | levante | póngase | quítese | lávese | diríjase | ajuste | calibre | engrase | seque | enjuague
  caliente | enfríe | sirva | reparta | recoja | tape | destape | proteja | vigile | controle | archive | imprima
  adjunte | traslade | transfiera | reserve | cancele | anule | modifique | corrija | repita | pruebe | intente
  ayude | respete | cumpla | guíe | mire | señale | comente | discuta | grite | corra | fume | toque | pise | beba
  coma | permita | olvide | confíe | rompa | moje | fuerce | acerque | mencione | prometa | interrumpa | explore
  dude | presente | aplique | agite | mezcle | añádalo | devuélvalo | consérvelo
`;
const ORDERS_AT_START = ORDERS.replace(/(?<=[:|])\p{Ll}/gu, (letter) => letter.toUpperCase());
const DETERMINER = anyOf`
  el | la | los | las | lo | un | una | unos | unas | su | sus | cada | todos? | todas? | este | esta | estos
  estas | que | al | del | de | en | con | si | a | bien | siempre | nunca | no | por | para | hasta | antes
  después
`;

const NO_INFINITIVES = anyOf`
  Saber | Conocer | Entender | Lugar | Par | Mar | Bar | Hogar | Familiar | Particular | Similar | Regular
  Militar | Popular | Ayer | Mujer | Poder | Primer | Tercer | Cualquier | Taller | Carácter | Ser | Haber | Estar
  Tener | Por | Ordenar
`;
const FINITE_VERBS = anyOf`
  es | son | está | permite | puede | requiere | implica | significa | resulta | :
`;
const ORDER_FORMS = anyOf`
  ^${ORDERS_AT_START}(?:se|lo|la|los|las|les?)?(?=\s|[,.])(?<!Tenga(?= en cuenta,? que))
  ^\p{Lu}?\p{Ll}*[áéíóú]\p{Ll}*[ae]n?(?:lo|la|los|las|les?|se)(?=\s)
  ^(?!${NO_INFINITIVES}\s)(?!.*\s${FINITE_VERBS}\s)\p{Lu}\p{Ll}+(?:ar|er|ir)(?:se|lo|la|los|las|le)?\s(?:${DETERMINER}|\p{Ll}{3,}[aeo]s)(?=[\s.,])
`;
const NO_ORDER_AFTER_NOT = anyOf`
  se | hay | es | está | existe | obstante | hace | tiene | era | una | la | había | cabe | todas? | fue | sea
  pasa | importa | funciona | aparece | requiere | necesita | afecta | contiene | incluye | depende | permite
  sirve | basta | vale | sabe | sobra | queda | falta | ocurre | parece | suele | quiere | conviene | merece
  gusta | cuesta | hubiera | fuera
`;
const PRONOUNS = anyOf`
  usted | ustedes | él | ella | ellos | ellas | nosotros | cada uno | todos | nadie | quien | quienes | uno
`;
const PERSON_STEMS = anyOf`
  persona | empleado | compañer | vigilante | portero | conserje | recepcionista | camarer | cociner | técnic
  mecánic | guardia | policía | padre | madre | menor | adulto | niñ | invitad | huésped | inquilin | propietari
  socio | socia | becari | auxiliar | coordinador | monitor | educador | cuidador | limpiador | cajer | dependient
  repartidor | mensajer | transportista | colaborador | bibliotecari | secretari | contable | comercial
  interesad | paciente | enferm | llamante | contacto | trabajador | responsable | jefe | cliente | usuario
  participante | alumno | profesor | médico | enfermer | conductor | desarrollador | administrador | encargado
  mantenedor | autor | voluntari | visitante | equipo de | departamento | miembro | vendedor | vecino | titular
  solicitante | director(?!io) | agente | lector | operador | supervisor | programador | principiante | novato
`;
const CLAUSE_WORDS = anyOf`
  es | son | está | están | era | será | serán | puede | pueden | porque | como | donde | cuyo | cuya | por qué
  cómo | lo que
`;
const NO_SUBJECT_OPENERS = anyOf`
  esto | eso | ello | aquí | allí | en | para | con | sin | sobre | bajo | por | a | al | desde | durante | antes
  después | según | si | cuando | así | también | además
`;
const WEAK_MEANINGS = anyOf`
  buena? | buen | simple | importante | otr[oa] | solución | ejemplo | problema | cuestión | forma | manera
`;
const VAGUE_TERMS = anyOf`
  ya que | aunque | si | cuando | como | porque | problema | razón | motivo | resultado | objetivo | diferencia
  ejemplo | excepción | ventaja | desventaja | pregunta | respuesta | caso | forma | manera | modo | idea | esto
  eso | ello | este | esta | estos | estas | ese | esa | aquí | primer | primera | segund[oa] | últim[oa]
  siguiente | otr[oa] | mism[oa] | únic[oa] | solución | método | lo | él | ella | uno | una | no | sólo | solo
`;
const LIMIT_WORDS = anyOf`
  al menos | como mínimo | como máximo | a lo sumo | hasta | más de | menos de | no más de | dentro de
  en un plazo de | antes de | después de | cada | exactamente | superior a | inferior a | supera | superan
  superar | cuesta | cuestan
`;
const DANGERS = anyOf`
  de lo contrario | peligros[oa]s? | peligro | riesgo | dañ\p{L}+ | destru\p{L}+ | lesion\p{L}+ | incendio
  pérdida de datos | en ningún caso | bajo ningún concepto | nunca debe
`;
const JOINING_WORDS = anyOf`
  pero | y | e | o | u | sin embargo | no obstante | además | también | por (?:lo )?tanto | por eso
  por consiguiente | así que | entonces | luego | después | finalmente | por último | por ejemplo | en este caso
  en ese caso | en cambio | de lo contrario | asimismo | igualmente | en particular | de hecho | aunque | pues
`;
const NUMBERED_PLACES = anyOf`
  sección | capítulo | apéndice | figura | tabla | cuadro | página | apartado
`;
/** What Spanish says by its words. */
export const spanish: PatternRules = {
  modals: [
    { pattern: /(?:^|\s)(?:solo|sólo|únicamente) (?:puede|pueden|podrá|podrán)(?=\s)/iu, strength: 'must' },
    {
      pattern:
        /(?:^|\s)(?:(?:no|tampoco) está permitid[oa]|está (?:prohibido|permitido no)|no se (?:permite|debe|puede|deben|pueden)|no hay que)(?=\s)/iu,
      strength: 'must',
      negative: true,
      impersonal: true,
    },
    {
      pattern:
        /(?:^|\s)(?:hay que|(?<!no )es (?:obligatorio|necesario|imprescindible|preciso)|se (?:debe|deben|deberá|deberán)(?! a\b))(?=\s)/iu,
      strength: 'must',
      impersonal: true,
    },
    {
      pattern:
        /(?:^|\s)(?:se recomienda|es (?:recomendable|aconsejable|conveniente)|conviene|se (?:debería|deberían))(?=\s)/iu,
      strength: 'should',
      impersonal: true,
    },
    { pattern: /(?:^|\s)(?:está|están) prohibid[oa]s?(?=[\s.,;]|$)/iu, strength: 'must', negative: true },
    {
      pattern: /(?:^|\s)no (?:debe|deben|debes|deberá|deberán|puede|pueden|podrá|podrán)(?: nunca)?(?=\s)/iu,
      strength: 'must',
      negative: true,
    },
    { pattern: /(?:^|\s)no (?:debería|deberían|deberías)(?=\s)/iu, strength: 'should', negative: true },
    {
      pattern:
        /(?:^|\s)(?:debe|deben|debes|deberá|deberán|tiene que|tienen que|tendrá que|tendrán que|está obligado a|están obligados a)(?: siempre)?(?=\s)/iu,
      strength: 'must',
    },
    { pattern: /(?:^|\s)(?:debería|deberían|deberías)(?=\s)/iu, strength: 'should' },
    { pattern: /(?:^|\s)(?:puede|pueden|podrá|podrán)(?=\s)/iu, strength: 'may' },
  ],
  negated: { pattern: /^(?:no|nunca|jamás)(?=\s)/iu, for: { must: 'must', should: 'should' } },
  nobody: { pattern: /^(?:nadie|ningun[oa]?|ningún)(?=\s|$)/iu, for: { must: 'must', may: 'must', should: 'should' } },
  circumstance:
    /^(?:tras|ante|en|para|con|sin|sobre|por(?! favor)|a|al|desde|hasta|durante|según|pasad[oa]s?|cada|dentro de|fuera de|los (?:lunes|martes|miércoles|jueves|viernes|sábados|domingos))\s/iu,
  conditions:
    /^(?:si|cuando|en caso de(?: que)?|siempre que|tan pronto como|en cuanto|antes de(?: que)?|después de(?: que)?|a menos que|salvo que|mientras|una vez que)\s+/i,
  order: new RegExp(ORDER_FORMS, 'u'),
  orderNot: new RegExp(
    String.raw`^(?:No|Nunca|Jamás)\s+(?:\p{Ll}+[ea](?:se|lo|la|le)?\s(?!veces)|${ORDERS}n\s|\p{Ll}+(?:ar|er|ir)(?:se|lo|la)?\s)(?!.*\b(?:debe|puede)\b)(?<!\S+ ${NO_ORDER_AFTER_NOT}\s)`,
    'u',
  ),
  actionEnd:
    /;|:(?=\s)|\s[–—]\s|,\s+(?:porque|ya que|puesto que|para que|de lo contrario|sino|pero|lo que|pues)(?=\s)|\s(?:porque|ya que|puesto que|para que|de lo contrario)(?=\s)/iu,
  persons: new RegExp(String.raw`(?:^|\s)${PRONOUNS}(?=\s|$)|${PERSON_STEMS}`, 'iu'),
  noSubject: new RegExp(
    String.raw`(?:^|\s)(?:se|que|quien|no)$|(?:^|\s)${CLAUSE_WORDS}(?:\s|$)|^${NO_SUBJECT_OPENERS}\s`,
    'iu',
  ),
  definition: new RegExp(
    String.raw`^(?:Una?\s+|(?:El|La)\s+(?=.{2,60}?\s(?:es|designa)\s+una?\s+(?:[\p{L}-]+\s+){1,3}(?:que|donde|cuy[oa]|con|de|por|para|en)\s)|(?=[\p{Lu}«]))(?!(?:El|La|Los|Las|Una?|Lo)\s)(?<term>[«“"]?\s?[\p{L}][\p{L}\p{N}-]*(?:\s+[\p{L}\p{N}-]+){0,3}?\s?[»”"]?)\s+(?:es|significa|designa|se refiere a|se denomina|se llama)\s+(?<meaning>(?:una?)\s(?!${WEAK_MEANINGS}\s).+)$`,
    'u',
  ),
  vague: new RegExp(String.raw`\sno$|^${VAGUE_TERMS}(?:\s|$)`, 'iu'),
  stances: [
    [
      /\bno (?:es|son) (?:necesari[oa]s?|obligatori[oa]s?)|\bno hace falta\b|\bno (?:tiene|tienen) por qué\b/iu,
      'frees',
    ],
    [/\b(?:está|están) prohibid[oa]s?|\bno (?:está|están) permitid[oa]s?|\bno se permiten?\b/iu, 'forbids'],
    [/\b(?:está|están) permitid[oa]s?|\bse permiten?\b/iu, 'allows'],
  ],
  stanceWords:
    /\b(?:está|están|permitid[oa]s?|prohibid[oa]s?|permiten?|necesari[oa]s?|obligatori[oa]s?|siempre|nunca|no)\b/iu,
  reader: /^(?:usted(?:es)?|nosotros|uno|todos|nadie|cada uno)$/iu,
  units: [
    [/^días (?:laborables|hábiles)/iu, 'workday', 'time'],
    [/^segundos?\b/iu, 'second', 'time'],
    [/^minutos?\b/iu, 'minute', 'time'],
    [/^horas?\b/iu, 'hour', 'time'],
    [/^días?(?!\p{L})/iu, 'day', 'time'],
    [/^semanas?\b/iu, 'week', 'time'],
    [/^mes(?:es)?\b/iu, 'month', 'time'],
    [/^años?\b/iu, 'year', 'time'],
    [/^(?:€|euros?\b|EUR\b)/iu, 'EUR', 'EUR'],
    [/^(?:%|por ciento)/iu, 'percent', 'percent'],
    [/^(?:°\s?C|grados?)/iu, 'degree', 'degree'],
    [/^(?:km|kilómetros?)\b/iu, 'kilometre', 'length'],
    [/^(?:cm|centímetros?)\b/iu, 'centimetre', 'length'],
    [/^(?:mm|milímetros?)\b/iu, 'millimetre', 'length'],
    [/^(?:m|metros?)\b/u, 'metre', 'length'],
    [/^(?:kg|kilos?|kilogramos?)\b/iu, 'kilogram', 'mass'],
    [/^(?:g|gramos?)\b/u, 'gram', 'mass'],
    [/^(?:l|litros?)\b/iu, 'litre', 'volume'],
    [/^(?:GB|GiB|gigabytes?)\b/u, 'gigabyte', 'data'],
    [/^(?:MB|MiB|megabytes?)\b/u, 'megabyte', 'data'],
    [/^(?:kB|KB|KiB|kilobytes?)\b/u, 'kilobyte', 'data'],
    [/^(?:personas|empleados|miembros)\b/iu, 'person', 'person'],
    [/^veces\b/iu, 'times', 'times'],
    [/^páginas?\b/iu, 'page', 'page'],
    [/^(?:caracteres|carácter)(?!\p{L})/iu, 'character', 'character'],
  ],
  numberWords: {
    dos: 2,
    tres: 3,
    cuatro: 4,
    cinco: 5,
    seis: 6,
    siete: 7,
    ocho: 8,
    nueve: 9,
    diez: 10,
    once: 11,
    doce: 12,
    quince: 15,
    veinte: 20,
    treinta: 30,
    cuarenta: 40,
    cincuenta: 50,
    cien: 100,
  },
  limit: new RegExp(String.raw`\b${LIMIT_WORDS}(?=\s|$)`, 'iu'),
  limitAnywhere: /\b(?:máxim[oa]|mínim[oa]|límite|plazo|fianza)(?=\s|$|[.,])/iu,
  warning: new RegExp(
    String.raw`^(?:Atención|Advertencia|Aviso|Peligro|Cuidado|Nunca)(?!\p{L})|\b${DANGERS}(?!\p{L})`,
    'iu',
  ),
  reason: /\b(?:porque|ya que|puesto que|debido a|para que|por eso|por lo tanto|a fin de)(?!\p{L})/iu,
  example: /^(?:Por ejemplo|Como ejemplo|Ejemplo)\b|\bpor ejemplo\b|\bp\.\s?ej\./iu,
  tip: /^(?:Consejo|Sugerencia)\b|^Es (?:útil|buena idea|más fácil|mejor|práctico)|^Lo mejor es/iu,
  comparison:
    /\b(?:a diferencia de|en cambio|mientras que|por el contrario|en comparación con|en contraste con|en lugar de|en vez de)(?!\p{L})/iu,
  role: /\b(?:es|son|está|están) (?:responsables? de|a cargo de|encargad[oa]s? de)|\bse encargan? de/iu,
  firstPerson: /\b(?:yo|mí|mis?|me|conmigo)\b/iu,
  pointsBack:
    /^(?:est[eao]s?|es[eao]s?|ell[oa]s?|él|ella|dich[oa]s?|tales?|su\s|sus\s|aquí|allí|así|ambos|ambas|el primero|el segundo|el último|lo anterior|lo mismo)(?!\p{L})/iu,
  joinsOn: new RegExp(String.raw`^${JOINING_WORDS}(?!\p{L})`, 'iu'),
  elsewhere: new RegExp(
    String.raw`(?:^|[\s(¿«])(?:véase|vea|consulte|ver|lea)\s|\b${NUMBERED_PLACES}\s+[\dA-Z«“"]|\b(?:siguientes?|anterior(?:es)?|arriba|abajo|a continuación)(?!\p{L})`,
    'iu',
  ),
  aboutDocument:
    /\b(?:este|esta|el presente|la presente) (?:documento|manual|guía|capítulo|sección|página|texto|libro|artículo|apartado|referencia)(?!\p{L})/iu,
  pointsWithin: /\b(?:est[eao]s?|es[eao]s?|dich[oa]s?|ello|lo anterior)(?!\p{L})/iu,
  leadIns: {
    steps:
      /\b(?:pasos?|siguiente manera|como sigue|procedimiento|siga|proceda)(?!\p{L})|^(?:para|si|antes|después|cuando)\b.*:$/iu,
    duties:
      /\b(?:debe|deben|deberá|deberán|puede|pueden|debería|deberían|hay que|tiene que)(?:\s+(?:siempre|nunca))?\s*:$/iu,
  },
  lowersItems: true,
};
