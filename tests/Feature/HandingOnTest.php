<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\HandOn\FileName;
use Gimbo\Core\Outline\FoldReader;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class HandingOnTest extends TestCase
{
    public function test_a_design_handed_on_comes_back_equal(): void
    {
        $id = $this->start('Boat ticket', ['options' => ['method' => 'score-board']]);
        $file = $this->get("/api/designs/$id/design.json")->assertOk()->assertDownload('boat-ticket.gimbo.json')->getContent();
        $copy = $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json'], content: (string) $file)->assertCreated();
        $original = $this->getJson("/api/designs/$id");
        self::assertSame($original->json('design'), $copy->json('design'));
        self::assertSame($original->json('spec'), $copy->json('spec'));
        self::assertNotSame($id, $copy->json('id'));
    }

    /** @return iterable<string, array{string, string, string}> file, pointer, a piece of the message */
    public static function badFiles(): iterable
    {
        yield 'no JSON' => ["{\n\"format\": \n oops", '', 'line 3'];
        yield 'nothing' => ['""', '/format', 'not a design of Gimbo'];
        yield 'a foreign file' => ['{"type": "FeatureCollection"}', '/format', 'not a design of Gimbo'];
        yield 'a bad field' => ['{"format": "gimbo-design", "version": 1, "name": "x", "spec": {"make": "kite"}}', '/spec/make', 'diagonal-envelope'];
        yield 'a later version' => ['{"format": "gimbo-design", "version": 99}', '/version', 'version 3'];
    }

    #[DataProvider('badFiles')]
    public function test_a_broken_file_is_refused_whole(string $file, string $at, string $message): void
    {
        $answer = $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json'], content: $file)->assertUnprocessable();
        $problem = collect((array) $answer->json('errors'))->firstWhere('at', $at);
        self::assertStringContainsString($message, $problem['message'] ?? 'no such field in the answer');
        $this->getJson('/api/designs')->assertJsonCount(0, 'designs');
    }

    public function test_a_file_too_large_is_refused(): void
    {
        $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json'], content: str_repeat(' ', 1600 * 1024))->assertStatus(413);
    }

    public function test_pieces_go_out_as_svg_and_fold(): void
    {
        $id = $this->start();
        $svg = $this->get("/api/designs/$id/envelope.svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->assertDownload('boat-ticket-envelope.svg');
        self::assertStringContainsString('<g id="cut-outline"', (string) $svg->getContent());
        $fold = $this->get("/api/designs/$id/envelope.fold")->assertOk()->assertDownload('boat-ticket-envelope.fold');
        self::assertCount(5, FoldReader::read(json_decode((string) $fold->getContent(), true))->faces);
        $this->getJson("/api/designs/$id/lid.svg")->assertNotFound();
    }

    public function test_the_other_system_is_a_rounding_of_its_own(): void
    {
        $this->postJson('/api/size', ['spec' => self::SPEC, 'changes' => [['at' => '/system', 'to' => 'metric']]])
            ->assertOk()->assertJsonPath('system', 'metric')->assertJsonPath('pieces.0.sheet.text.width', '207 mm');
        $this->postJson('/api/size', ['spec' => self::SPEC])->assertOk()->assertJsonPath('pieces.0.sheet.text.width', '8 3/16 in');
        $this->postJson('/api/size', ['spec' => ['make' => 'kite']])->assertUnprocessable()->assertJsonPath('errors.0.at', '/make');
    }

    /** @return iterable<string, array{string, string}> what it is called, the name of its file */
    public static function names(): iterable
    {
        yield 'another script' => ['Κάρτα για τα γλαρόνια', 'κάρτα-για-τα-γλαρόνια-envelope.svg'];
        yield 'no letter at all' => ['!?', 'envelope.svg'];
        yield 'a path' => ['../../etc/terns', 'etc-terns-envelope.svg'];
    }

    #[DataProvider('names')]
    public function test_a_file_is_named_in_any_script(string $called, string $file): void
    {
        $header = (string) $this->get('/api/designs/'.$this->start($called).'/envelope.svg')->assertOk()->headers->get('Content-Disposition');
        self::assertMatchesRegularExpression('/^attachment; filename="[\x20-\x7e]+\.svg"/', $header);
        preg_match("/filename\*=utf-8''(\S+)$|filename=\"([^\"]+)\"$/", $header, $named);
        self::assertSame($file, rawurldecode((string) end($named)));
    }

    public function test_the_name_of_a_file_is_one_a_file_system_takes(): void
    {
        $long = FileName::of(str_repeat('Ж', 200));
        self::assertLessThanOrEqual(200, strlen($long));
        self::assertTrue(mb_check_encoding($long, 'UTF-8'));
    }

    public function test_an_address_that_is_not_there_is_a_page_with_a_way_on(): void
    {
        $this->get('/designs/01hzzzzzzzzzzzzzzzzzzzzzzz/print')->assertNotFound()->assertSee('<a href="/">', false);
        $this->getJson('/api/nothing')->assertNotFound()->assertJsonStructure(['errors' => [['message']]]);
    }

    public function test_one_file_holds_steps_and_handout_and_asks_for_nothing(): void
    {
        $id = $this->start('Tide </script> table');
        $html = (string) $this->get("/api/designs/$id/steps.html")->assertOk()->assertDownload('tide-script-table-steps.html')->getContent();
        self::assertStringContainsString("default-src 'none'", $html);
        self::assertDoesNotMatchRegularExpression('~(?:src|href)="(?!data:)|url\((?!["\']?data:)~', (string) preg_replace('~<script.*?</script>~s', '', $html));
        preg_match('~<script type="application/json" id="held">(.*?)</script>~s', $html, $found);
        $held = json_decode($found[1] ?? '', true);
        self::assertSame('Tide </script> table', $held['view']['name']);
        foreach (['by-piece right', 'by-piece left', 'by-tool right', 'by-tool left'] as $of) {
            self::assertSameSize($held['told']['steps'], $held['pictures'][$of]);
        }
        self::assertSameSize($held['told']['steps'], $held['spoken']);
        self::assertStringContainsString('<h1', $held['handout']);
    }
}
