import { Command } from 'cmdk';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { partsOf, settingsOf, stepName, stepOf, useBench } from '../bench/context';
import { nameOf, siteNode, walk } from '../bench/document';
import { toneName } from '../dress/tones';
import { useShelf } from '../shelf/shelf';
import { Dialog, useClose } from '../ui/Dialog';
import { useSettled } from '../ui/useSettled';

/** Finds any setting of what is chosen, any piece of the page, any page. */
export function Find({ onClose }: { onClose(): void }) {
  return (
    <Dialog label="Find" className="finder" onClose={onClose}>
      <Finder />
    </Dialog>
  );
}

function Finder() {
  const { page, catalogue, chosen, choose } = useBench();
  const navigate = useNavigate();
  const close = useClose();
  const [typed, setTyped] = useState('');
  const shelf = useShelf(useSettled(typed.trim()));
  const go = (then: () => void) => () => {
    close();
    then();
  };
  const nodes = [
    chosen.node.type === 'item' && chosen.parent ? chosen.parent : chosen.node,
    siteNode(page.document),
  ];
  const styled = (type: string) => (type === 'site' ? [] : partsOf(catalogue, type));
  const pieces = [...walk(page.document.page)].filter(({ node }) => node.type !== 'column');
  return (
    <Command label="Find a setting, a piece or a page">
      <Command.Input
        data-first
        placeholder="Find a setting, a piece or a page"
        maxLength={200}
        value={typed}
        onValueChange={setTyped}
      />
      <Command.List>
        <Command.Empty>Nothing is called that.</Command.Empty>
        {nodes.map((node) => (
          <Command.Group
            key={node.id}
            heading={`Settings of ${node.id === 'site' ? 'the site' : nameOf(node)}`}
          >
            {settingsOf(catalogue, node.type).map((setting) => (
              <Command.Item
                key={setting.id}
                value={`${setting.label} ${setting.id} ${node.id}`}
                onSelect={go(() => choose(node.id, stepOf(setting), setting.id))}
              >
                {setting.label}
                <span className="faint">{stepName[stepOf(setting)]}</span>
              </Command.Item>
            ))}
            {styled(node.type)
              .filter((part) => toneName(page.document, part.id.replace('tone.', '')) !== '')
              .flatMap((part) =>
                part.properties.map((property) => (
                  <Command.Item
                    key={`${part.id}/${property.id}`}
                    value={`${part.label}, ${property.label} ${part.id} ${property.id} ${node.id}`}
                    onSelect={go(() =>
                      choose(node.id, 'dress', `${part.id}/${part.states[0]}/${property.id}`),
                    )}
                  >
                    {part.id.startsWith('tone.own-')
                      ? toneName(page.document, part.id.replace('tone.', ''))
                      : part.label}
                    , {property.label.toLowerCase()}
                    <span className="faint">Dress</span>
                  </Command.Item>
                )),
              )}
          </Command.Group>
        ))}
        <Command.Group heading="On this page">
          {pieces.map(({ node }) => (
            <Command.Item
              key={node.id}
              value={`${nameOf(node)} ${node.type} ${node.id}`}
              onSelect={go(() => choose(node.id))}
            >
              <span className="truncate">{nameOf(node)}</span>
              <span className="faint">{node.type}</span>
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Pages">
          {shelf.sites?.flatMap((site) =>
            site.pages.map((each) => (
              <Command.Item
                key={each.id}
                value={`${each.title} ${site.name} page ${each.id}`}
                onSelect={go(() => navigate(`/pages/${each.id}/arrange`))}
              >
                {each.title || 'Untitled'}
                <span className="faint">{site.name}</span>
              </Command.Item>
            )),
          )}
        </Command.Group>
      </Command.List>
    </Command>
  );
}
