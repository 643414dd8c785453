import type { Nodes, RootContent } from 'mdast';
import { micromark } from 'micromark';
import { fromMarkdown } from 'mdast-util-from-markdown';
import type { ReactNode } from 'react';
import { Linking, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { SANS, SANS_STRONG, type Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  all: { gap: 8 },
  text: { fontFamily: SANS, fontSize: 15, lineHeight: 22, color: inks.ink },
  strong: { fontFamily: SANS_STRONG },
  heading: { fontFamily: SANS_STRONG, fontSize: 17, lineHeight: 24, marginTop: 12 },
  leaning: { fontStyle: 'italic' } as const,
  link: { textDecorationLine: 'underline' } as const,
  item: { flexDirection: 'row', gap: 8 } as const,
  quote: { borderLeftWidth: 3, borderLeftColor: inks.hairline, paddingLeft: 12, gap: 8 },
});
type Style = ReturnType<typeof styles>;

const SAFE_LINK = /^(https?:|mailto:|tel:)/i;

const inline = (nodes: readonly Nodes[], style: Style): ReactNode[] =>
  nodes.map((node, at) => {
    switch (node.type) {
      case 'text':
      case 'inlineCode':
        return node.value;
      case 'break':
        return '\n';
      case 'strong':
        return (
          <Text key={at} style={style.strong}>
            {inline(node.children, style)}
          </Text>
        );
      case 'emphasis':
        return (
          <Text key={at} style={style.leaning}>
            {inline(node.children, style)}
          </Text>
        );
      case 'link': {
        const words = inline(node.children, style);
        return SAFE_LINK.test(node.url) ? (
          <Text key={at} style={style.link} role="link" onPress={() => void Linking.openURL(node.url)}>
            {words}
          </Text>
        ) : (
          words
        );
      }
      default:
        return 'children' in node ? inline(node.children, style) : null;
    }
  });

const blocks = (nodes: readonly RootContent[], style: Style): ReactNode[] =>
  nodes.map((node, at) => {
    switch (node.type) {
      case 'paragraph':
        return (
          <Text key={at} style={style.text}>
            {inline(node.children, style)}
          </Text>
        );
      case 'heading':
        return (
          <Text
            key={at}
            style={[style.text, style.heading]}
            role="heading"
            aria-level={Math.min(6, node.depth + 1)}
          >
            {inline(node.children, style)}
          </Text>
        );
      case 'list':
        return (
          <View key={at} role="list" style={style.all}>
            {node.children.map(({ children }, item) => (
              <View key={item} role="listitem" style={style.item}>
                <Text style={style.text}>{node.ordered ? `${(node.start ?? 1) + item}.` : '–'}</Text>
                <View style={{ flex: 1 }}>{blocks(children, style)}</View>
              </View>
            ))}
          </View>
        );
      case 'blockquote':
        return (
          <View key={at} style={style.quote}>
            {blocks(node.children, style)}
          </View>
        );
      case 'code':
        return (
          <Text key={at} style={style.text}>
            {node.value}
          </Text>
        );
      default:
        return null;
    }
  });

const Marked = ({ text }: { text: string }) => {
  const style = useStyles(styles);
  return <View style={style.all}>{blocks(fromMarkdown(text).children, style)}</View>;
};
export default Marked;

/** A text in CommonMark as HTML; raw HTML in it and addresses that run something are taken out. */
export const markedHtml = (text: string): string => micromark(text);
