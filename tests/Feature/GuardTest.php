<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class GuardTest extends TestCase
{
    public function test_unknown_hosts_are_refused(): void
    {
        $this->get('http://terns.example/api/designs')->assertStatus(421);
        $this->get('http://localhost/api/designs')->assertOk();
        $this->get('http://127.0.0.1:8017/api/designs')->assertOk();
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function foreignPages(): iterable
    {
        yield 'said by the browser' => [['Sec-Fetch-Site' => 'cross-site', 'Sec-Fetch-Mode' => 'cors']];
        yield 'a sibling address' => [['Sec-Fetch-Site' => 'same-site']];
        yield 'another origin' => [['Origin' => 'https://terns.example']];
        yield 'no origin at all' => [['Origin' => 'null']];
        yield 'another port' => [['Origin' => 'http://localhost:9999']];
    }

    /** @param array<string, string> $headers */
    #[DataProvider('foreignPages')]
    public function test_another_sites_page_may_neither_write_nor_read(array $headers): void
    {
        $this->postJson('/api/designs', ['name' => 'x', 'spec' => self::SPEC], $headers)->assertForbidden();
        $this->getJson('/api/designs', $headers)->assertForbidden();
        $this->getJson('/api/designs')->assertJsonCount(0, 'designs');
    }

    public function test_our_own_page_may(): void
    {
        $this->postJson('/api/designs', ['name' => 'x', 'spec' => self::SPEC], ['Origin' => 'http://localhost', 'Sec-Fetch-Site' => 'same-origin'])->assertCreated();
    }

    public function test_a_link_from_elsewhere_opens_a_page_but_a_form_from_elsewhere_changes_nothing(): void
    {
        $this->withoutVite();
        $elsewhere = ['Sec-Fetch-Site' => 'cross-site', 'Sec-Fetch-Mode' => 'navigate'];
        $this->get('/', $elsewhere)->assertOk();
        $this->post('/api/designs', ['name' => 'x'], $elsewhere)->assertForbidden();
    }

    public function test_only_json_is_taken(): void
    {
        $this->call('POST', '/api/designs', server: ['CONTENT_TYPE' => 'text/plain'], content: '{}')->assertStatus(415);
    }

    public function test_unknown_ids_and_addresses_are_refused(): void
    {
        $this->getJson('/api/designs/nothing')->assertNotFound()->assertJsonStructure(['errors' => [['at', 'message']]]);
        $this->postJson('/api/designs/nothing/undo', ['revision' => 1])->assertNotFound();
        $this->edit('01a00000-0000-7000-8000-000000000000', [['at' => '/holds/width', 'to' => '4']])->assertNotFound();
        $this->getJson('/api/nothing')->assertNotFound();
        $this->putJson('/api/designs', [])->assertStatus(405);
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function badEdits(): iterable
    {
        $id = '0190b8a0-0000-7000-8000-000000000001';
        $change = ['at' => '/holds/width', 'to' => '4'];
        yield 'no id' => [['changes' => [$change]], '/id'];
        yield 'an id that is none' => [['id' => 'x', 'changes' => [$change]], '/id'];
        yield 'no changes' => [['id' => $id], '/changes'];
        yield 'too many' => [['id' => $id, 'changes' => array_fill(0, 21, $change)], '/changes'];
        yield 'a change of nothing' => [['id' => $id, 'changes' => [['to' => '4']]], '/changes/0'];
        yield 'an unknown field' => [['id' => $id, 'changes' => [['at' => '/holds/colour', 'to' => 'red']]], '/holds/colour'];
        yield 'a pointer that is none' => [['id' => $id, 'changes' => [['at' => '../../etc', 'to' => 'red']]], '../../etc'];
    }

    #[DataProvider('badEdits')]
    public function test_an_edit_that_is_none_says_where(mixed $body, string $at): void
    {
        $design = $this->start();
        $this->postJson("/api/designs/$design/edits", (array) $body)->assertUnprocessable()->assertJsonPath('errors.0.at', $at);
    }

    public function test_every_answer_forbids_what_is_not_ours(): void
    {
        $this->getJson('/api/designs')
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertHeader('Cross-Origin-Resource-Policy', 'same-origin');
        self::assertStringContainsString("default-src 'self'", (string) $this->getJson('/api/designs')->headers->get('Content-Security-Policy'));
    }
}
