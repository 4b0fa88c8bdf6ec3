<?php

declare(strict_types=1);

namespace App\Store;

/** Puts a backup in the place of a database that cannot be used any more; what there was is moved aside, never written to. */
final readonly class StoreRescue
{
    /**
     * @return string where what there was is kept now
     *
     * @throws StoreTrouble where it cannot be done; everything is as it was then
     */
    public static function restore(Store $store, Backup $backup, bool $runs): string
    {
        try {
            $store->inspect(SetUp::migrations());
            is_file($store->file) || throw StoreTrouble::of('store.missing', ['file' => $store->file]);
        } catch (StoreTrouble $trouble) {
            in_array($trouble->reason, ['store.damaged', 'store.missing', 'store.newer', 'store.foreign'], true) || throw $trouble;
            $runs && throw StoreTrouble::of('store.runs');

            return self::replace($store, $backup);
        }

        return (new Backups($store))->restore($backup)->name;
    }

    private static function replace(Store $store, Backup $backup): string
    {
        $new = "$store->file.new";
        copy($backup->path, $new) || throw StoreTrouble::of('store.unreachable');
        Store::looked($new);
        SetUp::migrate($new);
        $aside = '';
        foreach (['-wal', '-shm', ''] as $end) {
            if (is_file($store->file.$end)) {
                $aside = $store->file.gmdate('.\d\a\m\a\g\e\d-Ymd-His').$end;
                rename($store->file.$end, $aside) || throw StoreTrouble::of('store.read-only');
            }
        }
        rename($new, $store->file) || throw StoreTrouble::of('store.read-only');
        $store->inspect(SetUp::migrations());

        return $aside === '' ? '–' : basename($aside);
    }
}
