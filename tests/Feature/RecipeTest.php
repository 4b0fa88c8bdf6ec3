<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** What is handed to those who publish: measures as text and as a picture, editions, and from whom a recipe comes. */
final class RecipeTest extends TestCase
{
    private const TRAY = ['make' => 'tray-and-lid', 'system' => 'imperial', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in', 'count' => 2]];

    public function test_the_recipe_is_plain_text_in_both_systems(): void
    {
        $id = $this->started();
        $text = (string) $this->get("/api/designs/$id/recipe.txt")->assertOk()->assertHeader('Content-Type', 'text/plain; charset=utf-8')->getContent();
        $view = $this->getJson("/api/designs/$id")->json('design');
        self::assertStringStartsWith("Fair tray\nEdition 1\n\nIn inches\n", $text);
        [, $inches, $millimetres] = preg_split('/^In (?:inches|millimetres)$/m', $text) ?: ['', '', ''];
        foreach ([$view['pieces'][0]['sheet']['text']['width'], $view['pieces'][1]['measures'][2]['text']] as $figure) {
            self::assertStringContainsString($figure, $inches);
        }
        self::assertStringContainsString(' mm × ', $millimetres);
        self::assertStringNotContainsString(' in ×', $millimetres);
        // As many numbered steps in each as the design has.
        $steps = count((array) $this->getJson("/api/designs/$id/told")->json('steps'));
        self::assertSame($steps, preg_match_all('/^\d+\. /m', $inches));
        self::assertSame($steps, preg_match_all('/^\d+\. /m', $millimetres));
        self::assertStringNotContainsString('<', $text);
    }

    public function test_all_measures_stand_in_one_picture(): void
    {
        $id = $this->started();
        $picture = (string) $this->get("/api/designs/$id/measures.svg")->assertOk()->getContent();
        self::assertNotFalse(simplexml_load_string($picture));
        foreach ($this->getJson("/api/designs/$id")->json('design.pieces') as $piece) {
            foreach ($piece['measures'] as $measure) {
                self::assertStringContainsString(">$measure[text]<", $picture, "$piece[id] $measure[kind]");
            }
        }
        $step = (string) $this->get("/api/designs/$id/steps/2.svg?hand=left")->assertOk()->getContent();
        self::assertStringContainsString('sp-fence', $step);
        $this->get("/api/designs/$id/steps/99.svg")->assertNotFound();
    }

    public function test_a_handout_says_its_edition_and_which_pieces_cut_by_another_still_serve(): void
    {
        $id = $this->started();
        $this->change($id, '/options/lidDepth', '1 in');
        $page = fn (string $query): string => html_entity_decode((string) $this->get("/designs/$id/print$query")->assertOk()->getContent());
        self::assertStringContainsString('Edition 2', $page(''));
        self::assertStringNotContainsString('still serves', $page(''));
        // The lid is cut deeper; the tray is what it was.
        self::assertStringContainsString('Tray: what is cut by that edition still serves.', $page('?since=1'));
        self::assertStringContainsString('Lid: cut anew.', $page('?since=1'));
        $this->change($id, '/name', 'Fair tray, corrected');
        self::assertStringContainsString('No measure is another.', $page('?since=2'));
        self::assertStringContainsString('Lid: cut anew.', $page('?since=1'));
        foreach (['?since=3', '?since=77', '?since=x', '?since=99999999999999999999', '?since[]=1'] as $none) {
            self::assertStringNotContainsString('still serves', $page($none));
        }
    }

    public function test_from_whom_a_recipe_comes_is_kept_and_stays_with_copies(): void
    {
        $id = $this->started();
        $this->change($id, '/by', 'Ada of the tern watch');
        self::assertStringContainsString('From Ada of the tern watch', (string) $this->get("/designs/$id/print")->getContent());
        self::assertStringContainsString('From Ada of the tern watch', (string) $this->get("/api/designs/$id/recipe.txt")->getContent());
        $copy = $this->postJson("/api/designs/$id/copy", ['name' => 'Mine'])->assertCreated()->json('id');
        self::assertSame('Ada of the tern watch', $this->getJson("/api/designs/$copy")->json('by'));
        $handed = (string) $this->get("/api/designs/$copy/design.json")->getContent();
        $taken = $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $handed)->assertCreated()->json('by');
        self::assertSame('Ada of the tern watch', $taken);
        $this->edit($id, [['at' => '/by', 'to' => str_repeat('x', 81)]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/by');
    }

    private function started(): string
    {
        return $this->start('Fair tray', self::TRAY);
    }

    private function change(string $id, string $at, string $to): void
    {
        $this->edit($id, [['at' => $at, 'to' => $to]])->assertOk();
    }
}
