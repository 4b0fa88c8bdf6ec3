<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ChangeList;
use App\Http\JsonBody;
use App\Models\Entry;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a maker usually works with, said once and begun with ever after: system, tools, paper, room to spare. */
final readonly class UsualController
{
    public const KIND = 'usual';

    /** What of a request it may say. */
    private const FIELDS = ['system', 'tools', 'paper', 'clearance'];

    /** Any request, to be changed. */
    private const ANY = ['make' => 'diagonal-envelope', 'holds' => ['width' => '140 mm', 'height' => '100 mm', 'thickness' => '1 mm', 'count' => 1]];

    public function __construct(private Sizing $sizing)
    {
    }

    public function show(): JsonResponse
    {
        $entry = Entry::query()->where('kind', self::KIND)->first();

        return new JsonResponse(['usual' => $entry === null ? null : (object) $entry->entry]);
    }

    /** `{"changes": […]}`, as on the table; what is not changed is as everybody has it. */
    public function update(Request $request): JsonResponse
    {
        Entry::query()->updateOrCreate(['kind' => self::KIND], ['entry' => self::of($this->sizing, JsonBody::of($request)->object()['changes'] ?? null)]);

        return $this->show();
    }

    /**
     * What of it goes into a request.
     *
     * @return array<string, mixed> some of `system`, `tools`, `paper` and `clearance`, as a request says them
     *
     * @throws InvalidDocument at the field that is wrong
     */
    public static function of(Sizing $sizing, mixed $changes): array
    {
        $changes = ChangeList::read($changes);
        // First the system: bare numbers are in its unit.
        $isSystem = fn (Change $change): bool => $change->at === '/system';
        $spec = $sizing->edited(self::ANY, array_values(array_filter($changes, $isSystem)));
        $spec = $sizing->edited($spec, array_values(array_filter($changes, fn (Change $change) => ! $isSystem($change))));
        $sizing->request($spec);

        return array_intersect_key($spec, array_flip(self::FIELDS));
    }
}
