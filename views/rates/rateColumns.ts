// The columns that the heading of the rates and their rows share.

export const rateColumns = "grid grid-cols-[minmax(180px,1.4fr)_150px_110px_110px_110px_minmax(130px,1fr)_44px]";
