<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoSeeder;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class DesignsTest extends TestCase
{
    public function test_a_design_is_started_shown_and_listed(): void
    {
        $id = $this->start('Spring-fair invitation');
        $this->getJson("/api/designs/$id")->assertOk()
            ->assertJsonPath('name', 'Spring-fair invitation')
            ->assertJsonPath('design.pieces.0.measures.2.text', '3 5/8 in')
            ->assertJsonPath('canUndo', false);
        $this->getJson('/api/designs')->assertOk()->assertJsonCount(1, 'designs')
            ->assertJsonPath('designs.0.summary.holds.text.width', '5 1/2 in')
            ->assertJsonPath('designs.0.summary.fits', true);
    }

    public function test_an_edit_changes_the_design_and_can_be_undone_and_redone(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '6']])->assertOk()
            ->assertJsonPath('fields./holds/width.text', '6 in')
            ->assertJsonPath('revision', 2);
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk()
            ->assertJsonPath('fields./holds/width.text', '5 1/2 in')
            ->assertJsonPath('canRedo', true);
        $this->postJson("/api/designs/$id/redo", ['revision' => 1])->assertOk()
            ->assertJsonPath('fields./holds/width.text', '6 in')
            ->assertJsonPath('canRedo', false);
    }

    public function test_an_edit_after_undo_starts_another_future(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '6']]);
        $this->postJson("/api/designs/$id/undo", ['revision' => 2]);
        $this->edit($id, [['at' => '/holds/width', 'to' => '7']])->assertJsonPath('canRedo', false)->assertJsonPath('revision', 2);
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertJsonPath('fields./holds/width.text', '5 1/2 in');
    }

    public function test_undo_sent_twice_goes_one_step_back(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '6']]);
        $this->edit($id, [['at' => '/holds/width', 'to' => '7']]);
        $this->postJson("/api/designs/$id/undo", ['revision' => 3]);
        $this->postJson("/api/designs/$id/undo", ['revision' => 3])->assertOk()->assertJsonPath('fields./holds/width.text', '6 in');
        $this->postJson("/api/designs/$id/undo", [])->assertUnprocessable()->assertJsonPath('errors.0.at', '/revision');
    }

    public function test_edits_of_one_gesture_are_one_step_to_undo(): void
    {
        $id = $this->start();
        foreach (['4', '4 1/2', '4.75'] as $text) {
            $this->edit($id, [['at' => '/holds/width', 'to' => $text]], gesture: 'one stay')->assertJsonPath('revision', 2);
        }
        $this->edit($id, [['at' => '/holds/width', 'to' => '5']], gesture: 'another')->assertJsonPath('revision', 3);
        $this->postJson("/api/designs/$id/undo", ['revision' => 3])->assertJsonPath('fields./holds/width.text', '4 3/4 in');
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertJsonPath('fields./holds/width.text', '5 1/2 in');
    }

    public function test_an_edit_sent_again_is_not_applied_twice(): void
    {
        $id = $this->start();
        $edit = '0190b8a0-0000-7000-8000-000000000001';
        foreach ([1, 2] as $try) {
            $this->edit($id, [['at' => '/holds/width', 'nudge' => 1]], editId: $edit)->assertOk()->assertJsonPath('fields./holds/width.text', '5 9/16 in');
        }
    }

    public function test_a_refused_edit_changes_nothing_even_where_one_of_its_changes_was_good(): void
    {
        $id = $this->start();
        $before = $this->getJson("/api/designs/$id")->json();
        $this->edit($id, [['at' => '/holds/height', 'to' => '5'], ['at' => '/holds/width', 'to' => 'wide']])
            ->assertUnprocessable()->assertJsonPath('errors.0.at', '/holds/width');
        self::assertSame($before, $this->getJson("/api/designs/$id")->json());
    }

    /** @return iterable<string, array{mixed, string}> what is typed, a piece of the message */
    public static function badLengths(): iterable
    {
        yield 'empty' => ['', 'Write a length'];
        yield 'negative' => ['-4 in', 'negative'];
        yield 'zero' => ['0 in', 'greater than zero'];
        yield 'absurdly large' => ['999999 in', 'longer than 2 m'];
        yield 'letters' => ['abc', 'is not a length'];
        yield 'a wrong unit' => ['4 parsecs', 'Use in, cm or mm'];
        yield 'ten thousand characters' => [str_repeat('9', 10_000), 'too long'];
        yield 'a list' => [[1], 'text with a unit'];
    }

    #[DataProvider('badLengths')]
    public function test_bad_input_is_answered_at_its_field_with_what_would_be_right(mixed $typed, string $message): void
    {
        $id = $this->start();
        $answer = $this->edit($id, [['at' => '/holds/width', 'to' => $typed]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/holds/width');
        self::assertStringContainsString($message, (string) $answer->json('errors.0.message'));
        self::assertLessThan(300, strlen((string) $answer->json('errors.0.message')));
    }

    public function test_a_card_larger_than_any_paper_is_sized_and_said_not_to_fit(): void
    {
        $id = $this->start(spec: ['paper' => ['sheet' => ['width' => '210 mm', 'height' => '297 mm']]]);
        $answer = $this->edit($id, [['at' => '/holds/width', 'to' => '1900 mm']])->assertOk();
        $checks = collect((array) $answer->json('design.checks'));
        self::assertFalse($checks->firstWhere('id', 'sheet-from-paper')['ok'] ?? null);
    }

    public function test_the_name_is_edited_like_any_field(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/name', 'to' => 'Tern count']])->assertJsonPath('name', 'Tern count');
        $this->edit($id, [['at' => '/name', 'to' => '  ']])->assertUnprocessable()->assertJsonPath('errors.0.at', '/name');
        $this->getJson('/api/designs')->assertJsonPath('designs.0.name', 'Tern count');
    }

    public function test_a_design_is_copied_taken_off_and_put_back(): void
    {
        $id = $this->start();
        $copy = $this->postJson("/api/designs/$id/copy", ['name' => 'Another'])->assertCreated()->json('id');
        $this->deleteJson("/api/designs/$copy")->assertOk();
        $this->getJson("/api/designs/$copy")->assertNotFound();
        $this->getJson('/api/designs')->assertJsonCount(1, 'designs');
        $this->postJson("/api/designs/$copy/restore")->assertOk();
        $this->getJson("/api/designs/$copy")->assertOk()->assertJsonPath('name', 'Another');
    }

    public function test_the_demo_comes_once_and_never_again(): void
    {
        $this->seed(DemoSeeder::class);
        $designs = (array) $this->getJson('/api/designs')->json('designs');
        self::assertGreaterThanOrEqual(5, count($designs));
        foreach ($designs as $design) {
            $this->deleteJson("/api/designs/{$design['id']}");
        }
        $this->seed(DemoSeeder::class);
        $this->getJson('/api/designs')->assertJsonCount(0, 'designs');
    }
}
